import type { ReactNode } from 'react';
import { gridColumns } from '#core/gallery/grid-columns.ts';
import { type Properties, useProperties } from '../../render/declarations.ts';
import type { Picture } from '../../render/picture.ts';
import { Caption } from '../../components/caption.tsx';
import { LargeLink } from '../../components/large-link.tsx';
import { focusAt, PictureView } from '../../components/picture-view.tsx';
import { PlayMoving } from '../../components/play-moving.tsx';
import { useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';
import { Rows } from '../../components/rows.tsx';

const columnSizes = '(min-width: 1344px) 330px, (min-width: 704px) 24vw, 46vw';
const gridSizes = '(min-width: 1344px) 330px, (min-width: 670px) 31vw, 46vw';
const largeSizes = '(min-width: 1344px) 1180px, 88vw';

/** One large picture after another, in a strip that is moved by finger, wheel or arrow keys, with or without a script. */
function OneLarge({
  label,
  autoplay,
  children,
}: {
  label: string;
  autoplay: boolean;
  children: readonly ReactNode[];
}) {
  return (
    <div className="one-by-one" data-strip={autoplay ? 'plays' : 'still'}>
      {/* Whatever can be scrolled must be reachable by keyboard. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="strip-of-large" role="group" aria-label={label} tabIndex={0}>
        {children}
      </div>
    </div>
  );
}

/** A gallery in the way its maker chose. */
export function GalleryPart({ part, pictures, toRoot }: PartViewProps<'gallery'>) {
  const attach = useProperties();
  const { words } = useSpoken();
  const shown = part.pictures.flatMap((id) => pictures[id] ?? []);
  if (shown.length === 0) return null;
  const inside = (picture: Picture, sizes: string, properties: Properties = {}) => (
    <>
      <LargeLink picture={picture} toRoot={toRoot}>
        <PictureView picture={picture} toRoot={toRoot} sizes={sizes} properties={properties} />
      </LargeLink>
      <PlayMoving picture={picture} toRoot={toRoot} />
      {part.captions !== 'hidden' && <Caption picture={picture} />}
    </>
  );
  const figures = (sizes: string, of: (picture: Picture) => Properties = () => ({})) =>
    shown.map((picture) => <figure key={picture.id}>{inside(picture, sizes, of(picture))}</figure>);
  const laidOut = () => {
    switch (part.layout) {
      case 'rows':
        return (
          <Rows items={shown} pictureOf={(picture) => picture}>
            {(picture, sizes) => inside(picture, sizes)}
          </Rows>
        );
      case 'columns':
        return (
          <div className="box">
            <div className="columns">{figures(columnSizes)}</div>
          </div>
        );
      case 'grid':
        return (
          <div className="box">
            <div className="even-grid" data-columns={gridColumns(shown.length)}>
              {figures(gridSizes, (picture) => ({ '--focus-at': focusAt(picture) }))}
            </div>
          </div>
        );
      case 'one-large':
        return (
          <OneLarge
            label={`${part.title || words.gallery}, ${words.pictures(shown.length)}`}
            autoplay={part.autoplay}
          >
            {shown.map((picture) => (
              <figure key={picture.id} {...attach({ '--ar': picture.widthPx / picture.heightPx })}>
                {inside(picture, largeSizes)}
              </figure>
            ))}
          </OneLarge>
        );
    }
  };
  return (
    <div className={`on-grid gallery captions-${part.captions}`}>
      {part.title && <h2>{part.title}</h2>}
      <div className={part.layout === 'grid' && gridColumns(shown.length) === 3 ? 'in-rest' : 'in-wide'}>
        {laidOut()}
      </div>
    </div>
  );
}
