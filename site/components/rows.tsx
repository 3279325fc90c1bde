import type { ReactNode } from 'react';
import { frames, rowShares, type PlacedPicture } from '#core/gallery/row-shares.ts';
import { useProperties, type Properties } from '../render/declarations.ts';
import type { Picture } from '../render/picture.ts';

/** How narrow a cover may be on the wall, as its width by its height: the name below it needs some width. */
const leastOnWall = 0.66;

/** The only work there is does not hang as if its neighbours were missing. */
const alone = {
  ...frames,
  wide: { ...frames.wide, targetPx: 700, mostPx: 700 },
  medium: { ...frames.medium, targetPx: 620, mostPx: 620 },
};

const ratioOf = (picture: Picture): number => picture.widthPx / picture.heightPx;

function shareProperties({ ratio, shares }: PlacedPicture): Properties {
  return {
    '--ar': ratio,
    '--w': shares.wide.share,
    '--wg': shares.wide.gaps,
    '--m': shares.medium.share,
    '--mg': shares.medium.gaps,
    '--n': shares.narrow.share,
    '--ng': shares.narrow.gaps,
  };
}

/** `sizes` for a picture in rows: its share of the container at each of the three widths, rounded up. */
function rowSizes({ shares }: PlacedPicture): string {
  const percent = (share: number) => Math.min(100, Math.ceil(share * 94));
  return [
    `(min-width: 1344px) ${Math.ceil(shares.wide.share * 1344)}px`,
    `(min-width: 1090px) ${percent(shares.wide.share)}vw`,
    `(min-width: 670px) ${percent(shares.medium.share)}vw`,
    `${percent(shares.narrow.share)}vw`,
  ].join(', ');
}

/** Pictures placed in rows of natural proportions; how each is drawn is the caller's choice. */
export function Rows<T>({
  items,
  pictureOf,
  className = '',
  as: Item = 'figure',
  strip = false,
  children,
}: {
  items: readonly T[];
  pictureOf: (item: T) => Picture | null;
  className?: string;
  as?: 'figure' | 'article';
  /** One row on wide and medium containers, as in an opening. */
  strip?: boolean;
  children: (item: T, sizes: string, ratio: Properties, at: number) => ReactNode;
}) {
  const attach = useProperties();
  const ratios = items.map((item) => {
    const picture = pictureOf(item);
    if (!picture) return 1.5;
    // A higher picture is cut there, around its focus.
    return Item === 'article' ? Math.max(leastOnWall, ratioOf(picture)) : ratioOf(picture);
  });
  const inFrames = strip
    ? {
        ...frames,
        wide: { ...frames.wide, targetPx: 1160 / ratios.reduce((a, b) => a + b, 0), mostPx: 560 },
        medium: { ...frames.medium, targetPx: 760 / ratios.reduce((a, b) => a + b, 0), mostPx: 480 },
      }
    : Item === 'article' && items.length === 1
      ? alone
      : frames;
  const placed = rowShares(ratios, inFrames);
  return (
    <div className="box">
      <div className={`rows ${className}`.trim()}>
        {items.map((item, at) => {
          const place = placed[at];
          return place ? (
            <Item key={at} {...attach(shareProperties(place), Item === 'article' ? 'card' : undefined)}>
              {children(item, rowSizes(place), { '--ar': place.ratio }, at)}
            </Item>
          ) : null;
        })}
      </div>
    </div>
  );
}
