import { isWork } from '#core/pages/page.ts';
import type { PartOf } from '#core/parts/parts.ts';
import { asMarkdown } from '#core/resume/as-text/as-markdown.ts';
import { asPlainText } from '#core/resume/as-text/as-plain-text.ts';
import type { TakenEntry } from '#core/resume/json-resume/taken-entry.ts';
import { toJsonResume } from '#core/resume/json-resume/to-json-resume.ts';
import type { ResumeOnPage } from '#core/resume/resume-content-of.ts';
import { versionApplied } from '#core/resume/version-applied.ts';
import type { Draft } from '#core/sites/site.ts';
import { resumeDocx } from './resume-docx.ts';
import { resumeTitle } from './resume-title.ts';
import { shownOn } from '#core/pages/page.ts';

/** What a version can be taken out as, besides a PDF. */
export const outFormats = ['json', 'md', 'txt', 'docx'] as const;
export type OutFormat = (typeof outFormats)[number];

const types: Record<OutFormat, string> = {
  json: 'application/json; charset=utf-8',
  md: 'text/markdown; charset=utf-8',
  txt: 'text/plain; charset=utf-8',
  docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
};

/** The entries of a version with all that their maker has of them. */
function takenEntries(draft: Draft, page: string, version: PartOf<'version'>): TakenEntry[] {
  const own = draft.pages.find(({ id }) => id === page);
  const entries = (own ? shownOn(own).parts : []).filter(({ kind }) => kind === 'entry');
  const work = new Map(draft.pages.filter(isWork).map((one) => [one.id, one]));
  return versionApplied([version, ...entries]).flatMap((part) => {
    if (part.kind !== 'entry') return [];
    const { id: _, height: __, kind: ___, refused: ____, lines, ...entry } = part;
    const of = work.get(entry.page ?? '');
    return [
      {
        ...entry,
        ...(of && { title: entry.title || of.title, from: of.facts.from, to: of.facts.to }),
        lines: lines.map(({ text, proof }) => ({ text, proof })),
      },
    ];
  });
}

/** A version as its maker takes it along, in a format of others. */
export async function takenOut(
  format: OutFormat,
  draft: Draft,
  at: { page: string; version: PartOf<'version'> },
  { content, version }: ResumeOnPage,
): Promise<{ text: string | Buffer; type: string }> {
  const type = types[format];
  if (format === 'md') return { type, text: asMarkdown(content) };
  if (format === 'txt') return { type, text: asPlainText(content) };
  if (format === 'docx')
    return { type, text: await resumeDocx(content, version.paper, resumeTitle(content)) };
  const owner = {
    ...{ name: content.name, label: content.headline },
    url: content.contact.find(({ to }) => to !== null)?.to ?? null,
    region: content.contact.find(({ to }) => to === null)?.text ?? '',
    profiles: [],
  };
  const entries = takenEntries(draft, at.page, at.version);
  return { type, text: `${JSON.stringify(toJsonResume(entries, owner), null, 2)}\n` };
}
