import { useContext } from 'react';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import type { SeenEntry } from '#core/parts/agenda.ts';
import { LanguageContext, useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';

/** The day of an entry for programs, as a script needs it to put aside what is over. */
const lastDay = ({ day, until }: SeenEntry): string | undefined => until ?? day ?? undefined;

/**
 * What comes next, in time. Whoever reads it later gets what is over put aside by a script; without one all of it stands there, with
 * its days.
 */
export function AgendaPart({ part: { title, entries } }: PartViewProps<'agenda'>) {
  const { words, lang } = useSpoken();
  const language = useContext(LanguageContext);
  return (
    <div className="on-grid agenda" data-agenda="">
      <h2 {...(!title && lang)}>{title || words.agenda.title}</h2>
      <ol>
        {entries.map((entry) => (
          <li key={entry.id} data-day={lastDay(entry)}>
            <p className="when">
              {entry.day !== null && (
                <time dateTime={entry.time === null ? entry.day : `${entry.day}T${entry.time}`}>
                  {roughDateForReaders(
                    entry.until === null ? entry.day : `${entry.day}/${entry.until}`,
                    language,
                  )}
                  {entry.time !== null && `, ${entry.time}`}
                </time>
              )}
            </p>
            <p className="what">
              {entry.what}
              {entry.place && <span className="where">{entry.place}</span>}
            </p>
          </li>
        ))}
      </ol>
      <details hidden>
        <summary {...lang}>{words.agenda.over}</summary>
        <ol />
      </details>
    </div>
  );
}
