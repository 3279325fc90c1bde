import type { ReceivedComment } from '#contract/comments.ts';
import { type Mark, markScale, type Spot, spotOf } from '#core/comments/mark.ts';

const share = (value: number): string => `${(value * 100) / markScale}%`;

const where: Record<Spot, string> = {
  'top-left': 'upper left',
  top: 'top',
  'top-right': 'upper right',
  left: 'left',
  middle: 'middle',
  right: 'right',
  'bottom-left': 'lower left',
  bottom: 'bottom',
  'bottom-right': 'lower right',
};

/** What is marked, in a line that stands out from light and dark. */
function Marked({ mark }: { mark: Mark }) {
  const isRegion = 'width' in mark;
  return (
    <span
      aria-hidden="true"
      className={`absolute border-2 border-ink outline-2 outline-paper ${isRegion ? '' : '-mt-3 -ml-3 size-6 rounded-full'}`}
      style={{
        ...{ left: share(mark.x), top: share(mark.y) },
        ...(isRegion && { width: share(mark.width), height: share(mark.height) }),
      }}
    />
  );
}

/** The picture that a comment is about, as it is in the draft, with what its writer marked. */
export function PointedAt({ picture }: { picture: NonNullable<ReceivedComment['picture']> }) {
  const { src, name, widthPx, heightPx, mark, asItWas } = picture;
  if (src === null)
    return <p className="note">It points at {name ? `“${name}”` : 'a picture that is there no more'}.</p>;
  return (
    <div className="grid justify-items-start gap-1">
      <span className="relative block w-60 max-w-full">
        <img
          src={`/${src}`}
          {...{ width: widthPx, height: heightPx }}
          alt={mark ? `${name}, marked: ${where[spotOf(mark)]}` : name}
          className="block h-auto w-full"
          loading="lazy"
        />
        {mark && asItWas && <Marked mark={mark} />}
      </span>
      {!asItWas && mark && (
        <p className="note">It was cut otherwise since. The mark was at its {where[spotOf(mark)]}.</p>
      )}
    </div>
  );
}
