import { Caption } from '../../components/caption.tsx';
import { PictureLink } from '../../components/picture-link.tsx';
import { PictureView } from '../../components/picture-view.tsx';
import { PlayMoving } from '../../components/play-moving.tsx';
import { useProperties } from '../../render/declarations.ts';
import type { PartViewProps } from '../part-drawing.ts';

const sizes = {
  text: '(min-width: 560px) 34rem, 92vw',
  wide: '(min-width: 1344px) 1344px, 92vw',
  full: '100vw',
} as const;

export function PicturePart({ part, pictures, toRoot }: PartViewProps<'picture'>) {
  const attach = useProperties();
  const picture = part.material ? pictures[part.material] : undefined;
  if (!picture) return null;
  const className = part.width === 'full' ? 'picture full-width' : `picture ${part.width}`;
  return (
    <figure {...attach({}, className)}>
      <PictureLink link={part.link} picture={picture} toRoot={toRoot}>
        <PictureView picture={picture} toRoot={toRoot} sizes={sizes[part.width]} />
      </PictureLink>
      <PlayMoving picture={picture} toRoot={toRoot} />
      <Caption picture={picture} />
    </figure>
  );
}
