import { scaleBand, scaleLinear } from 'd3-scale';
import type { SiteVisits } from '#contract/visits.ts';
import { plural } from '#core/words/plural.ts';
import { shortDay } from '#core/dates/short-day.ts';

const width = 860;
const height = 190;
const edge = { left: 34, right: 4, top: 10, bottom: 24 };

/** Visits day by day: how many, and how many of them by different readers. The table below says the same. */
export function VisitsChart({ days }: { days: SiteVisits['byDay'] }) {
  const x = scaleBand(
    days.map(({ day }) => day),
    [edge.left, width - edge.right],
  ).paddingInner(0.25);
  const most = Math.max(4, ...days.map(({ visits }) => visits));
  const y = scaleLinear([0, most], [height - edge.bottom, edge.top]).nice(4);
  const base = y(0);
  const all = days.reduce((sum, { visits }) => sum + visits, 0);
  const best = days.reduce(
    (a, b) => (b.visits > a.visits ? b : a),
    days[0] ?? { day: '', visits: 0, visitors: 0 },
  );
  const said = `${plural(all, 'visit')} in ${days.length} days${
    all > 0 ? `, most on ${shortDay(best.day)}: ${best.visits}` : ''
  }.`;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={said}
      className="h-auto w-full min-w-[34rem]"
    >
      {y
        .ticks(4)
        .filter(Number.isInteger)
        .map((tick) => (
          <g key={tick} transform={`translate(0 ${y(tick)})`}>
            <line x1={edge.left} x2={width - edge.right} stroke="var(--line)" />
            <text x={edge.left - 8} dy="0.32em" textAnchor="end" fontSize="11" fill="var(--ink-3)">
              {tick}
            </text>
          </g>
        ))}
      {days.map(({ day, visits, visitors }) => (
        <g key={day} transform={`translate(${x(day) ?? 0} 0)`}>
          <title>{`${shortDay(day)}: ${plural(visits, 'visit')}, ${plural(visitors, 'reader')}`}</title>
          <rect y={edge.top} width={x.step()} height={base - edge.top} fill="transparent" />
          <rect y={y(visits)} width={x.bandwidth()} height={base - y(visits)} fill="var(--string)" />
          <rect y={y(visitors)} width={x.bandwidth()} height={base - y(visitors)} fill="var(--dusk)" />
        </g>
      ))}
      {days
        .filter(
          ({ day }, index) => (day.endsWith('-01') && index < days.length - 6) || index === days.length - 1,
        )
        .map(({ day }, index, shown) => (
          <text
            key={day}
            x={(x(day) ?? 0) + (index === shown.length - 1 && index > 0 ? x.bandwidth() : 0)}
            y={height - 6}
            textAnchor={index === shown.length - 1 && index > 0 ? 'end' : 'start'}
            fontSize="11"
            fill="var(--ink-3)"
          >
            {shortDay(day)}
          </text>
        ))}
    </svg>
  );
}
