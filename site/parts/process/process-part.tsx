import { useContext } from 'react';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import { daysOfDate, precisionOf } from '#core/dates/rough-date.ts';
import { shortDayForReaders } from '#core/dates/date-for-readers.ts';
import { bandsOf } from '#core/moments/bands.ts';
import { phaseName } from '#core/moments/phases.ts';
import type { SeenMoment } from '#core/moments/seen-moment.ts';
import { spentTime } from '#core/moments/spent-time.ts';
import { timeSpent } from '#core/moments/time-spent.ts';
import { type Told, toldInTime } from '#core/moments/told-in-time.ts';
import { useProperties } from '../../render/declarations.ts';
import { LanguageContext, useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';
import { Axis } from './axis.tsx';
import { MomentView } from './moment-view.tsx';

/** Fewer than these are seen at one look anyway. */
const leastOnAxis = 3;

/** A quiet stretch before a moment, folded; it opens to say when that was. */
function Quiet({ quiet }: { quiet: NonNullable<Told<SeenMoment>['quiet']> }) {
  const { words, lang } = useSpoken();
  const language = useContext(LanguageContext);
  return (
    <details className="quiet">
      <summary {...lang}>{words.process.quiet(quiet.days)}</summary>
      <p>{roughDateForReaders(`${quiet.first}/${quiet.last}`, language)}</p>
    </details>
  );
}

/** How the work came about: its moments in time, as a list, and above it the line they lie on. */
export function ProcessPart({ part, pictures, media, toRoot }: PartViewProps<'process'>) {
  const attach = useProperties();
  const { words, lang } = useSpoken();
  const language = useContext(LanguageContext);
  const { moments, phases, form, spacing } = part;
  const told = toldInTime(moments);
  const [first, last] = [moments[0], moments.at(-1)];
  if (!first || !last) return null;
  const bands = bandsOf(told.map((one) => ({ ...one, phase: one.moment.phase })));
  const hasPhases = bands.some(({ phase }) => phases.some(({ id }) => id === phase));
  const spent = timeSpent(moments);
  const ofSeveral = new Set(moments.map(({ page }) => page)).size > 1;
  const withYear = first.date.slice(0, 4) !== last.date.slice(0, 4);
  const labelOf = ({ date }: SeenMoment) => {
    const precision = precisionOf(date);
    if (precision !== 'day' && precision !== 'week') return roughDateForReaders(date, language);
    const day = shortDayForReaders(daysOfDate(date).first, language, withYear);
    return precision === 'day' ? day : words.weekOf(day);
  };
  return (
    <div className={`on-grid process as-${form} in-${spacing}`}>
      {part.title ? <h2>{part.title}</h2> : <h2 {...lang}>{words.process.title}</h2>}
      <p className="span">
        {words.span(roughDateForReaders(first.date, language), roughDateForReaders(last.date, language))}
        <span className="count" {...lang}>
          {words.process.moments(moments.length)}
        </span>
      </p>
      {spent.all > 0 && (
        <p className="span">
          {words.process.spent} {spentTime(spent.all)}
          {spent.byPhase.size > 1 && (
            <span>
              {[...spent.byPhase]
                .flatMap(([phase, minutes]) => {
                  const known = phases.find(({ id }) => id === phase);
                  return known
                    ? [`${phaseName(known, words.process.phases, words.process.phase)} ${spentTime(minutes)}`]
                    : [];
                })
                .join(', ')}
            </span>
          )}
        </p>
      )}
      {form !== 'columns' && moments.length >= leastOnAxis && (
        <Axis id={part.id} {...{ moments, phases, spacing, labelOf }} />
      )}
      <ol className="phases">
        {bands.map(({ phase, moments: inside }, n) => {
          const at = phases.findIndex(({ id }) => id === phase);
          const known = phases[at];
          return (
            <li key={n} className={`phase ${known ? `of-${at % 6}` : 'of-none'}`}>
              {known && (
                <h3 {...(!known.name && lang)}>
                  {phaseName(known, words.process.phases, words.process.phase)}
                </h3>
              )}
              <ol className="moments">
                {inside.map((one) => (
                  <li
                    key={one.moment.id}
                    {...attach(
                      { '--days': spacing === 'true' && !one.quiet ? Math.min(14, one.later ?? 0) : 0 },
                      one.quiet ? 'moment after-quiet' : 'moment',
                    )}
                  >
                    {one.quiet && <Quiet quiet={one.quiet} />}
                    <MomentView
                      told={one}
                      heading={known && hasPhases ? 'h4' : 'h3'}
                      {...{ ofSeveral, pictures, media, toRoot }}
                    />
                  </li>
                ))}
              </ol>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
