import { Caption } from '../../components/caption.tsx';
import { PictureLink } from '../../components/picture-link.tsx';
import { focusAt, PictureView } from '../../components/picture-view.tsx';
import { PlayMoving } from '../../components/play-moving.tsx';
import type { PartViewProps } from '../part-drawing.ts';

const sizes = {
  text: '(min-width: 1344px) 660px, (min-width: 1088px) 46vw, (min-width: 704px) 70vw, 92vw',
  wide: '(min-width: 1344px) 1344px, 92vw',
  full: '100vw',
  window: '100vw',
} as const;

const widthNames = {
  text: 'in-text',
  wide: 'wide',
  full: 'full-width',
  window: 'full-width window',
} as const;

export function PicturePart({ part, pictures, toRoot }: PartViewProps<'picture'>) {
  const picture = part.material ? pictures[part.material] : undefined;
  if (!picture) return null;
  return (
    <figure className={`on-grid picture ${widthNames[part.width]}`}>
      <div className="stand">
        <PictureLink link={part.link} picture={picture} toRoot={toRoot}>
          <PictureView
            picture={picture}
            toRoot={toRoot}
            sizes={sizes[part.width]}
            properties={
              part.width === 'full' || part.width === 'window' ? { '--focus-at': focusAt(picture) } : {}
            }
          />
        </PictureLink>
        <PlayMoving picture={picture} toRoot={toRoot} />
      </div>
      <Caption picture={picture} />
    </figure>
  );
}
