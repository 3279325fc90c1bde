import { Plus, Trash2 } from 'lucide-react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { mostLines, mostProofs } from '#core/parts/entry.ts';
import { isWork } from '#core/pages/page.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { Field } from '../../ui/field.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { OtherLanguageNote } from '../../ui/reading-ease-note.tsx';
import { SelectField } from '../../ui/select.tsx';
import { WhenFields } from '../../ui/when-fields.tsx';
import { longestLine } from '#core/resume/json-resume/lines-of-text.ts';
import { lineRemarks } from '#core/resume/remarks/line-remarks.ts';
import { knowsWordsOf } from '#core/words/knows-words-of.ts';
import { noNumber } from '#core/resume/remarks/no-number.ts';
import type { LineContext } from '#core/resume/remarks/remark.ts';
import { resumeSections } from '#core/resume/sections.ts';
import { ProofField } from './proof-field.tsx';
import { sectionNames } from './resume-words.ts';
import type { Entry, ResumeSteps, Version } from './use-resume.ts';
import { newId } from '../../parts/new-id.ts';

interface EntryEditorProps {
  page: ShownPage;
  entry: Entry;
  version: Version;
  steps: ResumeSteps;
  onGone: () => void;
}

/** What could be said better; nothing waits for it. */
function Remarks({ text, language, ended }: { text: string; language: string } & LineContext) {
  const remarks = lineRemarks(text, language, { ended });
  if (remarks.length === 0) return null;
  return (
    <ul className="grid gap-0.5">
      {remarks.map(({ kind, sentence }) => (
        <li key={kind} className="note">
          {sentence}
        </li>
      ))}
    </ul>
  );
}

/** Lines of an entry: what it says, in this version other words where they are wanted, and what proves it. */
function Lines({ page, entry, version, steps }: Omit<EntryEditorProps, 'onGone'>) {
  const set = (lines: Entry['lines']) => steps.changeEntry({ ...entry, lines });
  const { state } = useSite();
  const language = version.language ?? page.language ?? state.site.language;
  const project = state.pages.filter(isWork).find(({ id }) => id === entry.page);
  const { from, to } = project?.facts ?? entry;
  const ended = to ?? from;
  const words = new Map(version.words.map(({ line, text }) => [line, text]));
  const withoutNumber = noNumber(
    entry.lines.map(({ id, text }) => words.get(id) ?? text),
    language,
  );
  const reword = (line: string, text: string | null) =>
    steps.changeVersion({
      ...version,
      words: [
        ...version.words.filter((one) => one.line !== line),
        ...(text === null ? [] : [{ line, text }]),
      ],
    });
  return (
    <fieldset className="grid gap-3">
      <legend className="field-name">
        Lines <em>ticked: in this version</em>
      </legend>
      {entry.lines.map((line, at) => {
        const own = words.get(line.id);
        const isIn = !version.without.includes(line.id);
        return (
          <div key={line.id} className="grid gap-1.5 border-l-2 border-line pl-2.5">
            <div className="flex items-center justify-between gap-2">
              <CheckField
                name={`Line ${at + 1}`}
                checked={isIn}
                onChange={(wanted) =>
                  steps.changeVersion({
                    ...version,
                    without: wanted
                      ? version.without.filter((id) => id !== line.id)
                      : [...version.without, line.id],
                  })
                }
              />
              <IconButton
                small
                label={`Take off line ${at + 1}`}
                onClick={() => set(entry.lines.filter(({ id }) => id !== line.id))}
              >
                <Trash2 size={15} aria-hidden="true" />
              </IconButton>
            </div>
            <textarea
              className="input"
              rows={2}
              maxLength={longestLine}
              aria-label={`Words of line ${at + 1}`}
              value={line.text}
              onChange={({ target }) =>
                set(entry.lines.map((one) => (one.id === line.id ? { ...one, text: target.value } : one)))
              }
            />
            <Remarks text={own ?? line.text} language={language} ended={ended} />
            {own === undefined ? (
              <button type="button" className="link w-fit" onClick={() => reword(line.id, line.text)}>
                Say it otherwise in this version
              </button>
            ) : (
              <>
                <textarea
                  className="input"
                  rows={2}
                  maxLength={longestLine}
                  aria-label={`Words of line ${at + 1} in this version only`}
                  value={own}
                  onChange={({ target }) => reword(line.id, target.value)}
                />
                <button type="button" className="link w-fit" onClick={() => reword(line.id, null)}>
                  As everywhere
                </button>
              </>
            )}
            <ProofField
              label={`What proves line ${at + 1}`}
              proof={line.proof}
              page={page.id}
              version={version}
              onChange={(proof) =>
                set(entry.lines.map((one) => (one.id === line.id ? { ...one, proof } : one)))
              }
            />
          </div>
        );
      })}
      {entry.lines.length > 0 && !knowsWordsOf(language) && <OtherLanguageNote language={language} />}
      {withoutNumber !== null && <p className="note">{withoutNumber}</p>}
      {entry.lines.length < mostLines && (
        <Button
          small
          className="w-fit"
          onClick={() => set([...entry.lines, { id: newId(), text: '', proof: null }])}
        >
          <Plus size={15} aria-hidden="true" />A line
        </Button>
      )}
    </fieldset>
  );
}

/** One entry, typed once for all versions. */
export function EntryEditor({ page, entry, version, steps, onGone }: EntryEditorProps) {
  const { state } = useSite();
  const change = (more: Partial<Entry>) => steps.changeEntry({ ...entry, ...more });
  const project = state.pages.filter(isWork).find(({ id }) => id === entry.page);
  const versions = page.parts.filter(
    (part) => part.kind === 'version' && part.entries.includes(entry.id),
  ).length;
  const proofs: (Entry['proofs'][number] | null)[] = [
    ...entry.proofs,
    ...(entry.proofs.length < mostProofs ? [null] : []),
  ];
  return (
    <section aria-labelledby="entry-title" className="grid content-start gap-4">
      <header className="flex items-start justify-between gap-2">
        <div>
          <h2 id="entry-title" className="text-l">
            {entry.title || project?.title || 'New entry'}
          </h2>
          <p className="note">{versions === 1 ? 'In one version' : `In ${versions} versions`}</p>
        </div>
        <IconButton
          small
          label="Take this entry off the résumé"
          onClick={() => {
            steps.removeEntry(entry);
            onGone();
          }}
        >
          <Trash2 size={15} aria-hidden="true" />
        </IconButton>
      </header>
      <SelectField
        name="Section"
        value={entry.section}
        options={resumeSections.map((value) => ({ value, name: sectionNames[value] }))}
        onChange={(section) => change({ section })}
      />
      {entry.section === 'projects' && (
        <SelectField
          name="Its page"
          hint="its name and dates come from there"
          value={entry.page ?? ''}
          options={[
            { value: '', name: 'None: typed here' },
            ...state.pages
              .filter(isWork)
              .filter(({ archived }) => !archived)
              .map(({ id, title }) => ({ value: id, name: title || 'Untitled project' })),
          ]}
          onChange={(id) => change({ page: id === '' ? null : id })}
        />
      )}
      <Field
        label="What"
        {...(project && { hint: 'empty: as its page is called' })}
        placeholder={project?.title}
        value={entry.title}
        maxLength={160}
        onChange={({ target }) => change({ title: target.value })}
      />
      <div className="grid gap-3">
        <Field
          label="Where"
          hint="or by whom"
          value={entry.place}
          maxLength={160}
          onChange={({ target }) => change({ place: target.value })}
        />
        {(entry.level !== '' || entry.section === 'skills' || entry.section === 'languages') && (
          <Field
            label="How well"
            hint="of a skill or language"
            value={entry.level}
            maxLength={80}
            onChange={({ target }) => change({ level: target.value })}
          />
        )}
      </div>
      {!project && <WhenFields facts={entry} suggested={null} onChange={change} />}
      <Lines {...{ page, entry, version, steps }} />
      <fieldset className="grid gap-2">
        <legend className="field-name">Proof of it as a whole</legend>
        {proofs.map((proof, at) => (
          <ProofField
            key={at}
            label={proof ? `Proof ${at + 1}` : 'One more proof'}
            proof={proof}
            page={page.id}
            version={version}
            onChange={(next) =>
              change({
                proofs: proof
                  ? entry.proofs.flatMap((one, n) => (n === at ? (next ? [next] : []) : [one]))
                  : next
                    ? [...entry.proofs, next]
                    : entry.proofs,
              })
            }
          />
        ))}
      </fieldset>
      <HeightRow
        of={`the entry ${entry.title}`}
        effective={effectiveHeight(state, { page: page.id, part: entry.id })}
        onChange={(height) => change({ height })}
      />
    </section>
  );
}
