import type { Verdict } from '#core/resume/evidence.ts';

/** What is said of how well a skill is shown. */
export const verdictWords: Record<Verdict, string> = {
  shown: 'shown',
  thin: 'thin',
  'out-of-reach': 'out of reach',
  claimed: 'only claimed',
};

/** The same for whoever asks what it means. */
export const verdictMeaning: Record<Verdict, string> = {
  shown: 'These readers can open several things that show it.',
  thin: 'One thing shows it to these readers.',
  'out-of-reach': 'What shows it flies too low for these readers.',
  claimed: 'Nothing shows it yet.',
};
