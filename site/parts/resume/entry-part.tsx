import { useContext } from 'react';
import { timeSpanForReaders } from '#core/dates/date-for-readers.ts';
import { oneProofAPage } from '#core/resume/one-proof-a-page.ts';
import type { Proof } from '#core/resume/proof.ts';
import { useSpoken } from '../../render/words.ts';
import { WayLink } from '../../components/way-link.tsx';
import { WaysContext } from '../../render/ways.ts';
import { ResumeLanguageContext } from '../../render/resume-language.ts';
import type { PartViewProps } from '../part-drawing.ts';

/** What a class of the microformat h-resume says of a section's entries. */
const isWork: readonly string[] = ['work', 'volunteering', 'projects'];
const skill: readonly string[] = ['skills', 'languages'];

/** One entry of a résumé: what, where and when, what there is to say of it, and where it shows. */
export function EntryPart({ part, toRoot }: PartViewProps<'entry'>) {
  const { words, lang } = useSpoken();
  const ways = useContext(WaysContext);
  const language = useContext(ResumeLanguageContext);
  const { section, title, place, level, from, to, lines, proofs, page } = part;
  const when = timeSpanForReaders(from, to, language);
  const way = (of: Proof) => ways[of.page];
  const own = page === null ? undefined : ways[page];
  const event = isWork.includes(section)
    ? 'p-experience h-event'
    : section === 'education'
      ? 'p-education h-event'
      : '';
  const shown = oneProofAPage(proofs).flatMap((proof) => {
    const to = way(proof);
    return to ? [{ to, part: proof.part }] : [];
  });
  return (
    <div className={`entry ${event}`.trim()}>
      <div className="does">
        <h3 className={event ? 'p-name' : skill.includes(section) ? 'p-skill' : undefined}>
          {own ? <WayLink way={own} toRoot={toRoot} /> : title}
          {level && <span className="level">, {level}</span>}
        </h3>
        {place && <p className={`at ${event ? 'p-location' : ''}`.trim()}>{place}</p>}
        {lines.length > 0 && (
          <ul>
            {lines.map(({ id, text, proof }) => {
              // That a project proves itself need not be said.
              const to = proof && proof.page !== page && way(proof);
              return (
                <li key={id}>
                  {text}
                  {to && (
                    <>
                      {' '}
                      <span className="proof">
                        <WayLink way={to} part={proof.part} toRoot={toRoot} />
                      </span>
                    </>
                  )}
                </li>
              );
            })}
          </ul>
        )}
      </div>
      {(when || shown.length > 0) && (
        <div className="beside">
          {when && (
            <p className="when">
              {/^\d{4}/.test(from ?? '') ? (
                <time className={event ? 'dt-start' : undefined} dateTime={from ?? undefined}>
                  {when}
                </time>
              ) : (
                when
              )}
              {event && to !== null && to !== 'now' && <time className="dt-end" dateTime={to} />}
            </p>
          )}
          {shown.length > 0 && (
            <ul className="proofs" aria-label={words.resume.proofs} {...lang}>
              {shown.map(({ to, part: at }) => (
                <li key={`${to.path} ${at ?? ''}`}>
                  <WayLink way={to} part={at} toRoot={toRoot} />
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
    </div>
  );
}
