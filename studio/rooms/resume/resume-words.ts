import { en } from '#core/public-words/en.ts';
import type { ResumeSection } from '#core/resume/sections.ts';
import type { ResumeFit } from '#contract/resume.ts';

/** What a section is called in the room: as on a page in English. */
export const sectionNames: Record<ResumeSection, string> = en.resume.sections;

type Reason = NonNullable<ResumeFit['couldStayOut']>[number]['reasons'][number];

/** Why something could stay out, as one sentence with others. */
export const reasonWords: Record<Reason, string> = {
  'no-proof': 'nothing proves it',
  old: 'five years old or more',
  repeats: 'another line says it already',
  'not-asked': 'not asked for here',
};

/** Reasons as a sentence; empty for none. */
export function reasonsInWords(reasons: readonly Reason[]): string {
  const words = reasons.map((reason) => reasonWords[reason]).join(', ');
  return words && `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
