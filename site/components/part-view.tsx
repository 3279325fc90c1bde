import { memo } from 'react';
import type { SeenPart } from '#core/access/seen-by.ts';
import { useProperties } from '../render/declarations.ts';
import type { Picture } from '../render/page-input.ts';
import type { Medium } from '../render/medium.ts';
import { CompareView } from './compare-view.tsx';
import { ContactView } from './contact-view.tsx';
import { CreditsView } from './credits-view.tsx';
import { EvidenceView } from './evidence-view.tsx';
import { Caption } from './caption.tsx';
import { GalleryView } from './gallery-view.tsx';
import { PictureLink } from './picture-link.tsx';
import { MediumView } from './medium-view.tsx';
import { Paragraphs } from './paragraphs.tsx';
import { PlayMoving } from './play-moving.tsx';
import { PictureView } from './picture-view.tsx';
import { WordsView } from './words-view.tsx';

export interface PartViewProps {
  part: SeenPart;
  pictures: Readonly<Record<string, Picture>>;
  /** What it shows that is more than words and pictures. */
  medium: Medium | null;
  toRoot: string;
}

const pictureSizes = {
  text: '(min-width: 560px) 34rem, 92vw',
  wide: '(min-width: 1344px) 1344px, 92vw',
  full: '100vw',
} as const;

/** One part as readers see it. In the studio it is drawn again only when something of it changed. */
export const PartView = memo(function PartView({ part, pictures, medium, toRoot }: PartViewProps) {
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
          <PictureLink link={part.link} picture={picture} toRoot={toRoot}>
            <PictureView picture={picture} toRoot={toRoot} sizes={pictureSizes[part.width]} />
          </PictureLink>
          <PlayMoving picture={picture} toRoot={toRoot} />
          <Caption picture={picture} />
        </figure>
      );
    }
    case 'gallery':
      return <GalleryView part={part} pictures={pictures} toRoot={toRoot} />;
    case 'document':
    case 'sound':
    case 'clip':
      return medium && <MediumView medium={medium} toRoot={toRoot} />;
    case 'link':
      return medium && <MediumView medium={medium} align={part.align} toRoot={toRoot} />;
    case 'quote':
      return (
        <figure className="quote">
          <blockquote>
            <Paragraphs text={part.text} />
          </blockquote>
          {part.by && <figcaption>{part.by}</figcaption>}
        </figure>
      );
    case 'compare': {
      const before = pictures[part.before ?? ''];
      const after = pictures[part.after ?? ''];
      const names = { before: part.beforeName, after: part.afterName };
      return before && after ? (
        <CompareView before={before} after={after} names={names} toRoot={toRoot} />
      ) : null;
    }
    case 'evidence':
      return <EvidenceView part={part} pictures={pictures} medium={medium} toRoot={toRoot} />;
    case 'reflection':
      return part.texts.length > 0 ? (
        <div className="reflection">
          <h2>Looking back</h2>
          {part.texts.map((text, at) => (
            <Paragraphs key={at} text={text} />
          ))}
        </div>
      ) : null;
    case 'credits':
      return <CreditsView credits={part.credits} />;
    case 'contact':
      return <ContactView words={part.words} email={part.email} link={part.link} />;
  }
});
