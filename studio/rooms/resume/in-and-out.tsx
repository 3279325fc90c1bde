import { useId } from 'react';
import { versionAsPath } from '#contract/resume.ts';
import { checkedEntries } from '#core/resume/json-resume/checked-entries.ts';
import { fromJsonResume } from '#core/resume/json-resume/from-json-resume.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { useSite } from '../../api/site-context.tsx';
import { notice, problemNotice } from '../../ui/notice.ts';
import { entriesOf, type ResumeSteps, type Version } from './use-resume.ts';

/** So many parts a page holds; entries are parts of it. */
const mostParts = 200;
const mostBytes = 1024 * 1024;

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
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > mostBytes)
      return problemNotice('This file is larger than a résumé can be. Choose another one.');
    let said: unknown;
    try {
      said = JSON.parse(await file.text());
    } catch {
      return problemNotice(`${file.name} is no JSON. Only résumés in JSON Resume are taken in so far.`);
    }
    try {
      const { fit: taken, refused } = checkedEntries(fromJsonResume(said));
      const [first] = refused;
      const left = first ? ` ${refused.length} could not be: ${first.title}. ${first.why}` : '';
      // What this site does not have proves nothing here.
      const known = new Set(state.pages.map((one) => one.id));
      const own = taken.map((entry) => ({
        ...entry,
        page: entry.page !== null && known.has(entry.page) ? entry.page : null,
        proofs: entry.proofs.filter((proof) => known.has(proof.page)),
        lines: entry.lines.map(({ text, proof }) => ({
          text,
          proof: proof && known.has(proof.page) ? proof : null,
        })),
      }));
      if (own.length === 0) return problemNotice(`${file.name} has no entries to take in.${left}`);
      if (page.parts.length + own.length > mostParts)
        return problemNotice(
          `${file.name} has ${own.length} entries, and there is room for ${mostParts - page.parts.length} more. Take some off first.`,
        );
      steps.takeIn(own, version.id);
      notice(
        `${own.length} entries taken in from ${file.name}. Look them through; undo takes them out again.${left}`,
      );
    } catch (error) {
      problemNotice(error instanceof Error ? error.message : 'This file cannot be read.');
    }
  };
  return (
    <fieldset className="grid gap-2">
      <legend className="field-name">In and out</legend>
      <label className="field-name" htmlFor={id}>
        Take in a résumé <em>a file in JSON Resume</em>
      </label>
      <input
        id={id}
        type="file"
        accept=".json,application/json"
        className="text-s"
        onChange={({ target }) => {
          void take(target.files?.[0]);
          target.value = '';
        }}
      />
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
