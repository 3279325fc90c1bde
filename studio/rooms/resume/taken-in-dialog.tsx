import { useId, useState } from 'react';
import { timeSpanForReaders } from '#core/dates/date-for-readers.ts';
import type { TakenEntry } from '#core/resume/json-resume/taken-entry.ts';
import { plural } from '#core/words/plural.ts';
import { guessedResume } from '#core/resume/taken-in/guessed-resume.ts';
import type { SourceLine } from '#core/resume/taken-in/source-line.ts';
import { resumeSections } from '#core/resume/sections.ts';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Select } from '../../ui/select.tsx';
import { sectionNames } from './resume-words.ts';

/** What an entry was taken for, in one line and what it says. */
function AsEntry({ entry }: { entry: TakenEntry }) {
  const when = timeSpanForReaders(entry.from, entry.to, 'en');
  return (
    <div className="min-w-0">
      <p>
        <b className="font-strong">{entry.title || 'Without a name'}</b>
        {entry.level && `, ${entry.level}`}
        {entry.place && <span className="text-ink-2">, {entry.place}</span>}
      </p>
      {when && <p className="note">{when}</p>}
      {entry.lines.length > 0 && (
        <ul className="note list-disc pl-4">
          {entry.lines.map(({ text }, at) => (
            <li key={at}>{text}</li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** Entries guessed from an old résumé, each beside the lines it was guessed from, for a yes. */
export function TakenInDialog({
  name,
  lines,
  onTake,
  onClose,
}: {
  /** Of the file, or what stands for it. */
  name: string;
  lines: readonly SourceLine[];
  /** Whether they were taken in; they are not where there is no room for them. */
  onTake: (entries: TakenEntry[]) => boolean;
  onClose: () => void;
}) {
  const [{ guesses, leftOut }] = useState(() => guessedResume(lines));
  const [out, setOut] = useState<ReadonlySet<number>>(new Set());
  const [sections, setSections] = useState<ReadonlyMap<number, TakenEntry['section']>>(new Map());
  const id = useId();
  const chosen = guesses.flatMap(({ entry }, at) =>
    out.has(at) ? [] : [{ ...entry, section: sections.get(at) ?? entry.section }],
  );
  const switched = (at: number) => {
    const next = new Set(out);
    if (!next.delete(at)) next.add(at);
    setOut(next);
  };
  return (
    <Dialog title={`What was found in ${name}`} wide onClose={onClose}>
      {guesses.length === 0 ? (
        <p>
          No headings of a résumé were found in it, such as Work, Education or Skills. Put such headings above
          its parts, or type the entries.
        </p>
      ) : (
        <>
          <p className="mb-3">
            These are guesses by rules, each beside the lines it was made from. Untick what is wrong; the rest
            can be corrected at the desk.
          </p>
          <ul className="taken-in">
            {guesses.map(({ entry, sources, beyond }, at) => (
              <li key={at} data-out={out.has(at) || undefined}>
                <blockquote>
                  {sources.map((source) => (
                    <p key={source}>{lines[source]?.text}</p>
                  ))}
                </blockquote>
                <div className="flex items-start gap-3">
                  <input
                    type="checkbox"
                    className="mt-0.5 h-5 w-5 flex-none accent-[var(--ink)]"
                    aria-labelledby={`${id}-${at}`}
                    checked={!out.has(at)}
                    onChange={() => switched(at)}
                  />
                  <div className="grid min-w-0 flex-1 gap-1.5">
                    <div id={`${id}-${at}`}>
                      <AsEntry entry={entry} />
                    </div>
                    {beyond > 0 && (
                      <p className="flag straw">
                        {plural(beyond, 'line')} more than an entry holds:{' '}
                        {beyond === 1 ? 'it stays' : 'they stay'} out.
                      </p>
                    )}
                    <Select
                      label={`Section of ${entry.title || 'this entry'}`}
                      className="input w-auto max-w-full"
                      value={sections.get(at) ?? entry.section}
                      options={resumeSections.map((value) => ({ value, name: sectionNames[value] }))}
                      onChange={(section) => setSections(new Map(sections).set(at, section))}
                    />
                  </div>
                </div>
              </li>
            ))}
          </ul>
          {leftOut.length > 0 && (
            <details className="mt-3">
              <summary className="link w-fit cursor-pointer">
                {plural(leftOut.length, 'line')} of which nothing is taken
              </summary>
              <ul className="note mt-1">
                {leftOut.map((at) => (
                  <li key={at}>{lines[at]?.text}</li>
                ))}
              </ul>
            </details>
          )}
          <p className="sticky -bottom-5.5 -mb-5.5 mt-4 flex flex-wrap gap-2 bg-paper py-3">
            <Button
              look="ink"
              disabled={chosen.length === 0}
              onClick={() => {
                if (onTake(chosen)) onClose();
              }}
            >
              {`Take in ${chosen.length === 1 ? 'one entry' : `${chosen.length} entries`}`}
            </Button>
            <Button look="bare" onClick={onClose}>
              Take nothing in
            </Button>
          </p>
        </>
      )}
    </Dialog>
  );
}
