import { ChevronDown, ChevronUp, Plus } from 'lucide-react';
import type { ShownPage } from '#core/pages/page.ts';
import { isWork } from '#core/pages/page.ts';
import { type Verdict, verdictOf } from '#core/resume/evidence.ts';
import { proofOpens } from '#core/resume/proof-opens.ts';
import { gaps, overlaps } from '#core/resume/gaps.ts';
import { partialDateInWords } from '#core/dates/partial-date-in-words.ts';
import { timeSpanForReaders } from '#core/dates/date-for-readers.ts';
import { sectionMoved, sectionsInOrder } from '#core/resume/section-moved.ts';
import { type ResumeSection, resumeSections } from '#core/resume/sections.ts';
import { useSite } from '../../api/site-context.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { Select } from '../../ui/select.tsx';
import { useContradictions } from '../../pages/use-contradictions.ts';
import { sectionNames } from './resume-words.ts';
import { entriesOf, type Entry, type ResumeSteps, type Version } from './use-resume.ts';

interface EntryListProps {
  page: ShownPage;
  version: Version;
  selected: string | null;
  steps: ResumeSteps;
  onSelect: (id: string) => void;
}

/** What is said beside an entry; nothing where it is well shown. */
const verdictWords: Record<Verdict, string> = {
  shown: '',
  thin: 'shown once',
  'out-of-reach': 'shown out of reach',
  claimed: 'claimed',
};

const thisMonth = () => new Date().toISOString().slice(0, 7);

/** Sections that have entries: in the order of the version, then those that it has nothing of. */
function sectionsFor(entries: readonly Entry[], version: Version): ResumeSection[] {
  const byId = new Map(entries.map((entry) => [entry.id, entry.section]));
  const inOrder = version.entries.flatMap((id) => byId.get(id) ?? []);
  const used = new Set(byId.values());
  return [...new Set([...inOrder, ...resumeSections.filter((section) => used.has(section))])];
}

/** All entries, each once; a tick puts one in the version on show. */
export function EntryList({ page, version, selected, steps, onSelect }: EntryListProps) {
  const { state } = useSite();
  const all = entriesOf(page);
  const names = new Map(state.pages.filter(isWork).map(({ id, title }) => [id, title]));
  const nameOf = (entry: Entry) => entry.title || names.get(entry.page ?? '') || 'New entry';
  const at = (id: string) => {
    const found = version.entries.indexOf(id);
    return found < 0 ? Infinity : found;
  };
  const opens = proofOpens(state, { page: page.id, version: version.id });
  const now = thisMonth();
  const open = gaps(all, now);
  const twice = overlaps(all, now);
  const byId = new Map(all.map((entry) => [entry.id, entry]));
  const apart = useContradictions().filter(({ entry }) => byId.has(entry ?? ''));
  /** Moves an entry before or behind the next one of its section. */
  const move = (id: string, of: readonly Entry[], by: -1 | 1) => {
    const inVersion = of.filter((entry) => version.entries.includes(entry.id));
    const other = inVersion[inVersion.findIndex((entry) => entry.id === id) + by];
    if (!other) return;
    steps.changeVersion({
      ...version,
      entries: version.entries.map((one) => (one === id ? other.id : one === other.id ? id : one)),
    });
  };
  const sectionOf = new Map(all.map(({ id, section }) => [id, section]));
  const shownSections = sectionsInOrder(version.entries, sectionOf);
  const moveSection = (section: ResumeSection, by: -1 | 1) =>
    steps.changeVersion({ ...version, entries: sectionMoved(version.entries, sectionOf, section, by) });
  return (
    <section aria-labelledby="entries-title" className="grid grid-cols-[minmax(0,1fr)] content-start gap-4">
      <header className="flex items-baseline gap-2">
        <h2 id="entries-title" className="text-l">
          Entries
        </h2>
        <p className="note">typed once, ticked: in this version</p>
      </header>
      {sectionsFor(all, version).map((section) => {
        const entries = all.filter((one) => one.section === section).sort((a, b) => at(a.id) - at(b.id));
        const ticked = entries.filter(({ id }) => version.entries.includes(id)).length;
        return (
          <div key={section}>
            <div className="flex items-center justify-between border-b border-ink pb-1">
              <h3 className="font-strong">{sectionNames[section]}</h3>
              <span className="flex items-center gap-1">
                {ticked > 0 && shownSections.length > 1 && (
                  <>
                    <IconButton
                      small
                      label={`${sectionNames[section]} further up`}
                      disabled={shownSections[0] === section}
                      onClick={() => moveSection(section, -1)}
                    >
                      <ChevronUp size={15} aria-hidden="true" />
                    </IconButton>
                    <IconButton
                      small
                      label={`${sectionNames[section]} further down`}
                      disabled={shownSections.at(-1) === section}
                      onClick={() => moveSection(section, 1)}
                    >
                      <ChevronDown size={15} aria-hidden="true" />
                    </IconButton>
                  </>
                )}
                {entries.length > 0 && (
                  <small className="text-ink-3">
                    {ticked} of {entries.length}
                  </small>
                )}
                <IconButton
                  small
                  label={`Add to ${sectionNames[section]}`}
                  onClick={() => onSelect(steps.addEntry(section, version.id))}
                >
                  <Plus size={15} aria-hidden="true" />
                </IconButton>
              </span>
            </div>
            <ul>
              {entries.map((entry) => {
                const isIn = version.entries.includes(entry.id);
                const verdict = verdictWords[verdictOf(entry, opens)];
                return (
                  <li
                    key={entry.id}
                    className="flex items-center gap-2 border-b border-line py-1 aria-[current]:bg-raised"
                    aria-current={entry.id === selected || undefined}
                  >
                    <input
                      type="checkbox"
                      className="h-5 w-5 flex-none accent-[var(--ink)]"
                      aria-label={`${nameOf(entry)} in this version`}
                      checked={isIn}
                      onChange={() =>
                        isIn
                          ? steps.leaveOut(version, [entry.id], `${nameOf(entry)} out of ${version.name}`)
                          : steps.changeVersion({ ...version, entries: [...version.entries, entry.id] })
                      }
                    />
                    <button
                      type="button"
                      className="min-h-8 min-w-0 flex-1 truncate text-left"
                      onClick={() => onSelect(entry.id)}
                    >
                      <span className={isIn ? '' : 'text-ink-3'}>{nameOf(entry)}</span>{' '}
                      <small className="text-ink-3">
                        {timeSpanForReaders(entry.from, entry.to, 'en')}
                        {entry.section !== 'goals' && verdict && ` ${verdict}`}
                      </small>
                    </button>
                    {isIn && ticked > 1 && (
                      <>
                        <IconButton
                          small
                          label={`${nameOf(entry)} further up`}
                          onClick={() => move(entry.id, entries, -1)}
                        >
                          <ChevronUp size={15} aria-hidden="true" />
                        </IconButton>
                        <IconButton
                          small
                          label={`${nameOf(entry)} further down`}
                          onClick={() => move(entry.id, entries, 1)}
                        >
                          <ChevronDown size={15} aria-hidden="true" />
                        </IconButton>
                      </>
                    )}
                  </li>
                );
              })}
            </ul>
          </div>
        );
      })}
      <Select
        label="Add an entry"
        value=""
        options={[
          { value: '', name: 'Add an entry to…' },
          ...resumeSections.map((value) => ({ value, name: sectionNames[value] })),
        ]}
        onChange={(section) => section !== '' && onSelect(steps.addEntry(section, version.id))}
      />
      {(open.length > 0 || twice.length > 0 || apart.length > 0) && (
        <div className="grid gap-1" role="note" aria-label="What may not be right">
          {apart.map(({ entry, sentence }) => (
            <p className="note" key={sentence}>
              {sentence}{' '}
              {entry !== null && (
                <button type="button" className="link" onClick={() => onSelect(entry)}>
                  Look at it
                </button>
              )}
            </p>
          ))}
          {open.map(({ from, to, months }) => (
            <p className="note" key={from}>
              Nothing from {partialDateInWords(from)} to {partialDateInWords(to)}: {months} months that
              readers may ask about.
            </p>
          ))}
          {twice.map(({ first, second, months }) => {
            const [a, b] = [byId.get(first), byId.get(second)];
            return a && b ? (
              <p className="note" key={`${first} ${second}`}>
                {nameOf(a)} and {nameOf(b)} were at the same time for {months} months. If that is right, leave
                it.
              </p>
            ) : null;
          })}
        </div>
      )}
    </section>
  );
}
