import { drawnPortrait } from '#core/about/drawn-portrait.ts';
import { focusAt, PictureView } from '../../components/picture-view.tsx';
import type { PartViewProps } from '../part-drawing.ts';

/** The maker: as a picture, cut from paper in the colours of the look, or by their first letters. */
export function PortraitPart({ part, pictures, toRoot }: PartViewProps<'portrait'>) {
  const picture = pictures[part.material ?? ''];
  switch (part.form) {
    case 'photo':
      return picture ? (
        <figure className="portrait">
          <PictureView
            picture={picture}
            toRoot={toRoot}
            sizes="(min-width: 42rem) 24vw, 48vw"
            properties={{ '--focus-at': focusAt(picture) }}
            first
          />
        </figure>
      ) : null;
    case 'drawn':
      return (
        <svg className="portrait cut" data-back={part.drawing.back} viewBox="0 0 100 100" aria-hidden="true">
          {drawnPortrait(part.drawing).map(({ sheet, d }, at) => (
            <path key={at} className={sheet} d={d} />
          ))}
        </svg>
      );
    case 'letters':
      return (
        <p className="portrait letters" aria-hidden="true">
          {part.letters}
        </p>
      );
    case 'none':
      return null;
  }
}
