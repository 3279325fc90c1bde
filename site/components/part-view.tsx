import type { SeenPart } from '#core/access/seen-by.ts';
import { useProperties } from '../render/declarations.ts';
import type { Picture } from '../render/page-input.ts';
import type { Medium } from '../render/medium.ts';
import { DocumentView } from './document-view.tsx';
import { LargeLink } from './large-link.tsx';
import { LinkView } from './link-view.tsx';
import { ClipView, SoundView } from './recording-view.tsx';
import { PlayMoving } from './play-moving.tsx';
import { PictureView } from './picture-view.tsx';
import { Rows } from './rows.tsx';
import { useSlots } from './slots.ts';
import { WordsView } from './words-view.tsx';

export interface PartViewProps {
  part: SeenPart;
  pictures: Readonly<Record<string, Picture>>;
  /** What it shows that is more than words and pictures. */
  medium: Medium | null;
  toRoot: string;
}

/** What stands below a picture; readers get nothing where there are no words. */
function Caption({ picture }: { picture: Picture }) {
  const slots = useSlots();
  if (slots.caption) return <figcaption>{slots.caption(picture)}</figcaption>;
  return picture.caption ? <figcaption>{picture.caption}</figcaption> : null;
}

const pictureSizes = {
  text: '(min-width: 560px) 34rem, 92vw',
  wide: '(min-width: 1344px) 1344px, 92vw',
  full: '100vw',
} as const;

/** One part as readers see it. */
export function PartView({ part, pictures, medium, toRoot }: PartViewProps) {
  const attach = useProperties();
  switch (part.kind) {
    case 'words':
      return <WordsView text={part.text} />;
    case 'picture': {
      const picture = part.material ? pictures[part.material] : undefined;
      if (!picture) return null;
      const className = part.width === 'full' ? 'picture full-width' : `picture ${part.width}`;
      return (
        <figure {...attach({}, className)}>
          <LargeLink picture={picture} toRoot={toRoot}>
            <PictureView picture={picture} toRoot={toRoot} sizes={pictureSizes[part.width]} />
          </LargeLink>
          <PlayMoving picture={picture} toRoot={toRoot} />
          <Caption picture={picture} />
        </figure>
      );
    }
    case 'gallery': {
      const shown = part.pictures.flatMap((id) => pictures[id] ?? []);
      if (shown.length === 0) return null;
      return (
        <div className="gallery">
          {part.title && <h2>{part.title}</h2>}
          <Rows items={shown} pictureOf={(picture) => picture}>
            {(picture, sizes) => (
              <>
                <LargeLink picture={picture} toRoot={toRoot}>
                  <PictureView picture={picture} toRoot={toRoot} sizes={sizes} />
                </LargeLink>
                <PlayMoving picture={picture} toRoot={toRoot} />
                <Caption picture={picture} />
              </>
            )}
          </Rows>
        </div>
      );
    }
    case 'document':
      return medium?.kind === 'document' ? <DocumentView medium={medium} toRoot={toRoot} /> : null;
    case 'sound':
      return medium?.kind === 'sound' ? <SoundView medium={medium} toRoot={toRoot} /> : null;
    case 'clip':
      return medium?.kind === 'clip' ? <ClipView medium={medium} toRoot={toRoot} /> : null;
    case 'link':
      return medium?.kind === 'link' ? <LinkView medium={medium} align={part.align} toRoot={toRoot} /> : null;
  }
}
