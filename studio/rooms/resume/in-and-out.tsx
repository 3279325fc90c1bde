import { useId, useState } from 'react';
import { versionAsPath } from '#contract/resume.ts';
import { mostParts } from '#core/parts/parts.ts';
import { checkedEntries } from '#core/resume/json-resume/checked-entries.ts';
import { fromJsonResume } from '#core/resume/json-resume/from-json-resume.ts';
import type { ShownPage } from '#core/pages/page.ts';
import type { TakenEntry } from '#core/resume/json-resume/taken-entry.ts';
import { sourceLinesOfText } from '#core/resume/taken-in/source-lines-of-text.ts';
import { mostSourceLines, type SourceLine, tooManyLines } from '#core/resume/taken-in/source-line.ts';
import { useSite } from '../../api/site-context.tsx';
import { notice, problemNotice } from '../../ui/notice.ts';
import { PasteDialog } from './paste-dialog.tsx';
import { readLines } from './read-lines.ts';
import { TakenInDialog } from './taken-in-dialog.tsx';
import { entriesOf, type ResumeSteps, type Version } from './use-resume.ts';

const mostBytes = 8 * 1024 * 1024;

function parsedJson(text: string, name: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    throw new Error(
      `${name} is no JSON, whatever it is called. Open it where it came from and save it again.`,
    );
  }
}

/** A résumé from elsewhere as entries, and this version for elsewhere. */
export function InAndOut({
  page,
  version,
  steps,
}: {
  page: ShownPage;
  version: Version;
  steps: ResumeSteps;
}) {
  const { state } = useSite();
  const id = useId();
  const at = { site: state.site.id, page: page.id, version: version.id };
  const [read, setRead] = useState<{ name: string; lines: SourceLine[] } | null>(null);
  const [pasting, setPasting] = useState(false);
  /** Kept until entries were taken from it. */
  const [pasted, setPasted] = useState('');
  const [busy, setBusy] = useState(false);

  /** Puts entries into the résumé, if there is room for all of them. */
  const put = (taken: readonly TakenEntry[], name: string): boolean => {
    const { fit: entries, refused } = checkedEntries(taken);
    const [first] = refused;
    const left = first ? ` ${refused.length} could not be: ${first.title}. ${first.why}` : '';
    // What this site does not have proves nothing here.
    const known = new Set(state.pages.map((one) => one.id));
    const own = entries.map((entry) => ({
      ...entry,
      page: entry.page !== null && known.has(entry.page) ? entry.page : null,
      proofs: entry.proofs.filter((proof) => known.has(proof.page)),
      lines: entry.lines.map(({ text, proof }) => ({
        text,
        proof: proof && known.has(proof.page) ? proof : null,
      })),
    }));
    if (own.length === 0) {
      problemNotice(`${name} has no entries to take in.${left}`);
      return false;
    }
    if (page.parts.length + own.length > mostParts) {
      problemNotice(
        `${name} has ${own.length} entries, and there is room for ${mostParts - page.parts.length} more. Take some off first.`,
      );
      return false;
    }
    steps.takeIn(own, version.id);
    notice(
      `${own.length} entries taken in from ${name}. Look them through; undo takes them out again.${left}`,
    );
    return true;
  };
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > mostBytes)
      return problemNotice('This file is larger than a résumé can be. Choose another one.');
    setBusy(true);
    try {
      if (!/\.json$/i.test(file.name))
        setRead({ name: file.name, lines: await readLines(state.site.id, file) });
      else put(fromJsonResume(parsedJson(await file.text(), file.name)), file.name);
    } catch (error) {
      problemNotice(error instanceof Error ? error.message : 'This file cannot be read.');
    } finally {
      setBusy(false);
    }
  };
  return (
    <fieldset className="grid gap-2">
      <legend className="field-name">In and out</legend>
      <label className="field-name" htmlFor={id}>
        Take in a résumé <em>PDF, DOCX, ODT, text, JSON Resume</em>
      </label>
      <input
        id={id}
        type="file"
        accept=".pdf,.docx,.odt,.txt,.md,.json,application/pdf,application/json,text/plain"
        disabled={busy}
        className="file-field"
        onChange={({ target }) => {
          void take(target.files?.[0]);
          target.value = '';
        }}
      />
      {busy && (
        <p className="note" role="status">
          Reading it.
        </p>
      )}
      <button type="button" className="link w-fit" onClick={() => setPasting(true)}>
        Paste one instead
      </button>
      {pasting && (
        <PasteDialog
          start={pasted}
          onClose={() => setPasting(false)}
          onText={(text) => {
            setPasting(false);
            setPasted(text);
            const lines = sourceLinesOfText(text);
            if (lines.length > mostSourceLines) problemNotice(tooManyLines(lines.length));
            else setRead({ name: 'what you pasted', lines });
          }}
        />
      )}
      {read && (
        <TakenInDialog
          {...read}
          onTake={(entries) => {
            const isIn = put(entries, read.name);
            if (isIn) setPasted('');
            return isIn;
          }}
          onClose={() => setRead(null)}
        />
      )}
      {entriesOf(page).length > 0 && (
        <p className="flex flex-wrap gap-x-3 gap-y-1">
          Take this version out as
          <a className="link" href={versionAsPath(at, 'docx')} download="resume.docx">
            DOCX
          </a>
          <a className="link" href={versionAsPath(at, 'txt')} download="resume.txt">
            plain text
          </a>
          <a className="link" href={versionAsPath(at, 'md')} download="resume.md">
            Markdown
          </a>
          <a className="link" href={versionAsPath(at, 'json')} download="resume.json">
            JSON Resume
          </a>
        </p>
      )}
    </fieldset>
  );
}
