import type { SeenPage, SiteView } from '../access/seen-by.ts';
import { timeSpanForReaders } from '../dates/date-for-readers.ts';
import type { Id } from '../id.ts';
import type { Month } from '../pages/case-facts.ts';
import { partAnchor } from '../parts/part-anchor.ts';
import type { SeenPart, SeenPartOf } from '../parts/parts.ts';
import { wordsFor } from '../public-words/words-for.ts';
import type { ResumeContent, ProofLink } from './layout/resume-content.ts';
import { oneProofAPage } from './one-proof-a-page.ts';
import type { Proof } from './proof.ts';
import { type ResumeSection } from './sections.ts';

/** What a résumé says of its maker that stands on other pages. */
export const resumeFacts: readonly SeenPart['kind'][] = ['full-name', 'headline', 'place'];

/** A version of a résumé and what of it a viewer gets. */
export interface ResumeOnPage {
  version: SeenPartOf<'version'>;
  content: ResumeContent;
  /** When each entry ended, by its id; `now` while it goes on, null where that is not known. */
  ends: Readonly<Record<Id, Month | 'now' | null>>;
}

const isA =
  <K extends SeenPart['kind']>(kind: K) =>
  (part: SeenPart): part is Extract<SeenPart, { kind: K }> =>
    part.kind === kind;

/** What the foot of a résumé's pages says: where the newest one is. */
export const newestAt = (address: string, language: string): NonNullable<ResumeContent['newest']> => ({
  text: `${wordsFor(language).resume.newest} ${address.replace(/^https?:\/\//, '')}`,
  to: address,
});

/**
 * The résumé on a page as it is set on paper, of exactly what a viewer may see.
 *
 * @param paths where each page of the view stands below its entrance
 * @param base where the entrance stands on the web, if everybody may know; else nothing leads anywhere
 * @returns null where the page has no version for this viewer
 */
export function resumeContentOf(
  view: SiteView,
  page: SeenPage,
  paths: ReadonlyMap<Id, string>,
  base: string | null,
): ResumeOnPage | null {
  const version = page.parts.find(isA('version'));
  if (!version) return null;
  const language = version.language ?? page.language;
  const { resume } = wordsFor(language);
  const addressOf = (id: Id, part: Id | null = null): string | null => {
    const path = paths.get(id);
    return base === null || path === undefined
      ? null
      : base + path + (part === null ? '' : `#${partAnchor(part)}`);
  };
  const proofOf = ({ page: id, part }: Proof): ProofLink | null => {
    const to = addressOf(id, part);
    const of = view.pages.find((one) => one.id === id);
    return of && to !== null ? { title: of.title || wordsFor(language).untitled, to } : null;
  };
  const all = view.pages.flatMap(({ parts }) => parts);
  const sections = new Map<ResumeSection, SeenPartOf<'entry'>[]>();
  for (const entry of page.parts.filter(isA('entry')))
    sections.set(entry.section, [...(sections.get(entry.section) ?? []), entry]);
  const contact = [
    ...(base === null ? [] : [{ text: base.replace(/^https?:\/\//, '').replace(/\/$/, ''), to: base }]),
    ...all.filter(isA('place')).map(({ text }) => ({ text, to: null })),
  ];
  const own = addressOf(page.id);
  const content: ResumeContent = {
    language,
    name: all.find(isA('full-name'))?.text || view.site.by || view.site.title,
    headline: all.find(isA('headline'))?.text ?? '',
    contact,
    sections: [...sections].map(([section, entries]) => ({
      section,
      label: resume.sections[section],
      entries: entries.map((entry) => ({
        id: entry.id,
        title: entry.title,
        link: entry.page === null ? null : addressOf(entry.page),
        level: entry.level,
        place: entry.place,
        when: timeSpanForReaders(entry.from, entry.to, language),
        // That a project proves itself need not be said.
        lines: entry.lines.map(({ id, text, proof }) => ({
          id,
          text,
          proof: proof && proof.page !== entry.page ? proofOf(proof) : null,
        })),
        proofs: oneProofAPage(entry.proofs).flatMap((proof) => proofOf(proof) ?? []),
      })),
    })),
    newest: own === null ? null : newestAt(own, language),
  };
  const ends = Object.fromEntries(
    page.parts.filter(isA('entry')).map(({ id, from, to }) => [id, to ?? from] as const),
  );
  return { version, content, ends };
}
