import { Bow } from '../../ui/bow.tsx';

/** How far the strings of two levels hang from each other, in px. */
export const levelPx = 30;
const stringAt = (depth: number): number => 16 + depth * levelPx;

/** How a row is tied: a page with a bow, a heading with a knot, an outside link with a ring, what is carried with a loop. */
export type Tie = 'bow' | 'quiet' | 'knot' | 'ring' | 'loop';

function TiedWith({ tie }: { tie: Tie }) {
  switch (tie) {
    case 'bow':
      return <Bow />;
    case 'quiet':
      return <Bow className="quiet" />;
    case 'knot':
      return <span className="size-2.5 rounded-full bg-dusk" />;
    case 'ring':
      return <span className="size-3 rounded-full border-[2.5px] border-dusk bg-paper" />;
    case 'loop':
      return (
        <svg width="26" height="40" viewBox="0 0 26 40">
          <path
            d="M13 0c0 9-7 11-7 18s10 9 10 2-9-6-9 1 6 10 6 19"
            fill="none"
            stroke="var(--vermilion)"
            strokeWidth="2"
          />
        </svg>
      );
  }
}

/**
 * The strings beside one row: those that pass it, and the one it is tied to. Heights are shares of the row's own.
 *
 * @param lines see `stringLines`
 */
export function RowString({ lines, tie, first }: { lines: readonly boolean[]; tie: Tie; first: boolean }) {
  const depth = lines.length - 1;
  const x = stringAt(depth);
  const paths = lines.flatMap((goesOn, level) => {
    const at = stringAt(level);
    if (level < depth)
      return [
        ...(level === depth - 1 ? [`M${at} 0C${at} 34 ${at + 10} 50 ${x} 50`] : []),
        ...(goesOn ? [`M${at} 0c-1.6 34 1.6 66 0 100`] : []),
      ];
    return [
      ...(depth === 0 ? [`M${at} 0c1.4 16-1.4 34 0 50`] : []),
      ...(goesOn ? [`M${at} 50c1.4 16-1.4 34 0 50`] : []),
    ];
  });
  return (
    <span className="relative flex-none self-stretch" style={{ width: x + 16 }} aria-hidden="true">
      <svg
        className="absolute -top-[3px] left-0 h-[calc(100%+6px)] w-full"
        preserveAspectRatio="none"
        viewBox={`0 0 ${x + 16} 100`}
      >
        {paths.map((path) => (
          <path
            key={path}
            d={path}
            fill="none"
            stroke="var(--string)"
            strokeWidth="1.6"
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      {first && <span className="absolute -top-[7px] left-3 size-2 rounded-full bg-[#7d7466]" />}
      <span className="absolute top-1/2 grid -translate-1/2 place-items-center" style={{ left: x }}>
        <TiedWith tie={tie} />
      </span>
    </span>
  );
}
