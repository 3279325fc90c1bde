import { type Mark, markScale, spotOf } from '#core/comments/mark.ts';
import { useSpoken } from '../render/words.ts';
import { type PictureOnPage, pickWidth } from './comment-form.ts';

/** What a picture is called: by its alt text, else by its number on the page. */
export const pictureName = (
  picture: PictureOnPage,
  pictures: readonly PictureOnPage[],
  numbered: (number: number) => string,
): string => picture.alt || numbered(pictures.indexOf(picture) + 1);

/** A line that stands out from light and dark: dark within light. */
function Drawn({ mark, widthPx, heightPx }: { mark: Mark } & Pick<PictureOnPage, 'widthPx' | 'heightPx'>) {
  const [across, down] = [widthPx / markScale, heightPx / markScale];
  const line = Math.max(widthPx, heightPx) / 80;
  const at = { x: mark.x * across, y: mark.y * down };
  return [
    ['#fff', 2],
    ['#101418', 0.8],
  ].map(([stroke, times]) => {
    const drawn = { fill: 'none', stroke: String(stroke), strokeWidth: line * Number(times) };
    return 'width' in mark ? (
      <rect key={stroke} {...at} width={mark.width * across} height={mark.height * down} {...drawn} />
    ) : (
      <circle key={stroke} cx={at.x} cy={at.y} r={line * 4} {...drawn} />
    );
  });
}

/** A picture, small, with what is marked in it. */
export function PointedPicture({
  picture: { src, widthPx, heightPx },
  name,
  mark,
}: {
  picture: PictureOnPage;
  name: string;
  mark: Mark | null;
}) {
  const { words } = useSpoken();
  return (
    <svg
      className="pointed"
      role="img"
      aria-label={mark ? `${name}: ${words.comments.extents[spotOf(mark)]}` : name}
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      width={pickWidth}
      height={Math.round((pickWidth * heightPx) / widthPx)}
    >
      <image href={src} width={widthPx} height={heightPx} />
      {mark && <Drawn {...{ mark, widthPx, heightPx }} />}
    </svg>
  );
}
