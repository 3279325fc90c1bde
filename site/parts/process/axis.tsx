import { line } from 'd3-shape';
import { bandsOf } from '#core/moments/bands.ts';
import { lineItemOf } from '#core/moments/line-item-of.ts';
import { phaseName } from '#core/moments/phases.ts';
import type { SeenMoment } from '#core/moments/seen-moment.ts';
import { partAnchor } from '#core/parts/part-anchor.ts';
import type { SeenProcess } from '#core/parts/process.ts';
import { fittedLine } from '#core/timeline/fitted-line.ts';
import { useSpoken } from '../../render/words.ts';

/** Widths in px that the line is laid out for: pages at least that wide get it. See `process.css`. */
const widths = { narrow: 280, wide: 620 } as const;
const height = 76;
const stringAt = 34;
/** How wide a letter of a label is taken to be, in px, on the average of a date. */
const letterPx = 7.6;

/** A bow on the string, in px around its knot. */
const bow = line()
  .x(([x]) => x)
  .y(([, y]) => y)([
  [-6, -5],
  [0, -1.5],
  [6, -5],
  [6, 5],
  [0, 1.5],
  [-6, 5],
]);

/** A thousandth of the width is finer than any screen. */
const percent = (part: number, of: number): string => `${Math.round((part / of) * 1e5) / 1e3}%`;

/** A fold, as often as fits into its width. */
const pleat = line()
  .x(([x]) => x)
  .y(([, y]) => y)([
  [0, 0],
  [3, -7],
  [6, 7],
  [9, 0],
]);

interface AxisProps extends Pick<SeenProcess, 'moments' | 'phases' | 'spacing'> {
  id: string;
  labelOf: (moment: SeenMoment) => string;
}

function Line({ id, moments, phases, spacing, labelOf, form }: AxisProps & { form: keyof typeof widths }) {
  const { words } = useSpoken();
  const of = new Map(moments.map((moment) => [moment.id, moment]));
  const label = (moment: string) => {
    const known = of.get(moment);
    return known ? labelOf(known) : '';
  };
  const width = widths[form];
  const laid = fittedLine(moments.map(lineItemOf), {
    ...{ spacing, widthPx: width, rows: 1 },
    labelPx: (moment) => label(moment).length * letterPx + 4,
  });
  const at = (px: number) => percent(px, width);
  const xOf = new Map(laid.knots.map(({ id: knot, x }) => [knot, x]));
  const bands = bandsOf(moments).map(({ phase, moments: inside }, n, all) => {
    const next = all[n + 1]?.moments[0]?.id;
    const x = xOf.get(inside[0]?.id ?? '') ?? 0;
    return {
      phase: phases.findIndex((one) => one.id === phase),
      x,
      to: next ? (xOf.get(next) ?? width) : width,
    };
  });
  const pattern = `pleats-${id}-${form}`;
  return (
    <svg className={`line-${form}`} width="100%" height={height} aria-hidden="true">
      <defs>
        <pattern id={pattern} width="9" height="16" patternUnits="userSpaceOnUse" y={stringAt - 8}>
          <path d={pleat ?? ''} transform="translate(0 8)" />
        </pattern>
      </defs>
      {bands.map(({ phase, x, to }, n) => {
        const found = phases[phase];
        const name = found && phaseName(found, words.process.phases, words.process.phase);
        return (
          name !== undefined && (
            <svg
              key={n}
              x={at(x)}
              width={at(to - x)}
              height={stringAt - 8}
              className={`phase-band of-${phase % 6}`}
            >
              <line x1="0" x2="0" y1="0" y2="100%" />
              {name.length * letterPx + 8 < to - x && (
                <text x="6" y="14">
                  {name}
                </text>
              )}
            </svg>
          )
        );
      })}
      <line className="string" x1="0" x2={at(Math.max(laid.width, 1))} y1={stringAt} y2={stringAt} />
      {laid.folds.map((fold) => (
        <rect
          key={fold.key}
          className="pleat"
          x={at(fold.x)}
          width={at(fold.px)}
          y={stringAt - 8}
          height="16"
          fill={`url(#${pattern})`}
        />
      ))}
      {laid.knots
        .filter(({ x, to }) => to - x > 12)
        .map(({ id: knot, x, to }) => (
          <line key={knot} className="rough" x1={at(x)} x2={at(to)} y1={stringAt} y2={stringAt} />
        ))}
      {laid.bundles.map(({ ids, x }) => (
        <svg key={ids[0]} x={at(x)} y={stringAt} className="knot" overflow="visible">
          {/* The list below is what is read and gone through by keys. */}
          <a href={`#${partAnchor(ids[0] ?? '')}`} tabIndex={-1}>
            <rect x="-12" y="-12" width="24" height="24" className="hit" />
            <path d={bow ?? ''} />
            {/* Two bows stand for several moments: a number would need a ground of its own on whatever the part lies on. */}
            {ids.length > 1 && <path d={bow ?? ''} transform="translate(5 -5)" />}
          </a>
        </svg>
      ))}
      {laid.labels.map(({ id: of, x }) => (
        <text key={of} className="when" x={at(x)} y={stringAt + 28}>
          {label(of)}
        </text>
      ))}
    </svg>
  );
}

/** The whole time at one look, true to scale or evenly spaced. The list of moments says the same, and is what is read. */
export function Axis(props: AxisProps) {
  const { words } = useSpoken();
  return (
    <div className="axis" data-walk={words.process.walk}>
      <Line {...props} form="wide" />
      <Line {...props} form="narrow" />
    </div>
  );
}
