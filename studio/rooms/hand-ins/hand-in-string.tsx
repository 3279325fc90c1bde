import { useQuery } from '@tanstack/react-query';
import type { HandIn } from '#contract/hand-ins.ts';
import { listReleases } from '#contract/publishing.ts';
import { lineOf, monthsIn } from '#core/hand-ins/hand-in-line.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { dayAndShortMonth, shortMonth } from '../../ui/studio-dates.ts';

/** In the drawing's own units. */
const [width, line] = [800, 62];

/** Releases as knots on a string and due dates as flags on it. The list below says the same in words. */
export function HandInString({ handIns, now }: { handIns: readonly HandIn[]; now: Date }) {
  const { state } = useSite();
  const site = state.site.id;
  const { data } = useQuery({
    queryKey: ['releases', site, state.live.release?.number],
    queryFn: () => call(listReleases, { params: { site } }),
  });
  const due = handIns.filter(({ dueAt }) => dueAt !== null);
  if (!data || due.length === 0) return null;
  const dueDates = due.map(({ dueAt }) => new Date(dueAt ?? 0));
  // Of many releases the ones since a little before the first due date.
  const first = Math.min(now.getTime(), ...dueDates.map((date) => date.getTime())) - 90 * 86_400_000;
  const releases = data.filter(({ at }) => new Date(at).getTime() >= first).slice(0, 24);
  const instants = [now, ...dueDates, ...releases.map(({ at }) => new Date(at))].sort(
    (a, b) => a.getTime() - b.getTime(),
  );
  const place = lineOf(instants);
  const x = (instant: Date) => place(instant) * width;
  return (
    <svg
      viewBox={`0 0 ${width} 96`}
      className="w-full max-w-full phone:hidden"
      aria-hidden="true"
      fontSize="12"
      fill="currentColor"
    >
      <path
        d={`M0 ${line - 4} C ${width * 0.3} ${line + 4}, ${width * 0.6} ${line + 2}, ${width} ${line - 2}`}
        fill="none"
        stroke="var(--string)"
        strokeWidth="2"
      />
      {monthsIn(instants[0] ?? now, instants.at(-1) ?? now).map((begins) => (
        <text key={begins.toISOString()} x={x(begins)} y="90" textAnchor="middle" className="text-ink-3">
          {shortMonth(begins)}
        </text>
      ))}
      {due.map(({ id, dueAt, handedAt }) => {
        const at = x(new Date(dueAt ?? 0));
        // A flag at the end of the line waves the other way.
        const side = at > width - 60 ? -1 : 1;
        const late = handedAt === null && new Date(dueAt ?? 0) < now;
        return (
          <g key={id}>
            <path d={`M${at} ${line} V18`} stroke="var(--ink)" strokeWidth="1.5" />
            <path
              d={`M${at} 16 h${52 * side} l${-6 * side} 9 ${6 * side} 9 h${-52 * side} z`}
              fill={handedAt ? 'var(--meadow-wash)' : late ? 'var(--clay-wash)' : 'var(--straw)'}
            />
            <text x={at + 5 * side} y="29" fill="var(--ink)" textAnchor={side > 0 ? 'start' : 'end'}>
              {dayAndShortMonth(new Date(dueAt ?? 0))}
            </text>
          </g>
        );
      })}
      {releases.map(({ number, at, live }) => (
        <g key={number} transform={`translate(${x(new Date(at))} ${line})`}>
          <circle r="9" fill="var(--paper-raised)" stroke="var(--ink)" strokeWidth={live ? 2.5 : 1.5} />
          <text textAnchor="middle" y="4" fontSize="10" fill="var(--ink)">
            {number}
          </text>
        </g>
      ))}
      <g transform={`translate(${x(now)} ${line})`}>
        <path d="M0 -9 L6 0 L0 9 L-6 0 Z" fill="var(--vermilion)" />
        <text textAnchor="middle" y="28" fill="var(--vermilion)">
          today
        </text>
      </g>
    </svg>
  );
}
