import { wordsFor } from '#core/public-words/words-for.ts';
import type { ResumeContent } from '#core/resume/layout/resume-content.ts';

/** What a file is called, for readers and for those who hear it. */
export const resumeTitle = ({ name, language }: ResumeContent): string =>
  `${name}: ${wordsFor(language).kinds.resume}`;
