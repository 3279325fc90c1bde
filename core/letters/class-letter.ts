import { levelWords, type LetterGivenBack } from '../groups/given-back.ts';
import type { Letter, LetterFacts } from './account-letter.ts';

interface ClassFacts extends Omit<LetterFacts, 'token'> {
  /** What the class is called, and who leads it. */
  className: string;
  by: string;
  /** Id of the site that was handed in. */
  site: string;
}

const lineInWords = ({ text, level, words }: LetterGivenBack['lines'][number]): string =>
  [`${text}${level === null ? '' : `: ${levelWords[level].toLowerCase()}`}`, ...(words ? [words] : [])].join(
    '\n',
  );

const framed = (said: readonly string[], { name, origin, site }: ClassFacts): string =>
  `${[
    `Hello ${name},`,
    ...said,
    `It stands with your hand-ins:\n${origin}/studio/${site}/share/hand-ins`,
    'Such mails come as mails about comments do, or not at all: choose it at the foot of Feedback.',
  ].join('\n\n')}\n\n-- \nKite Wall at ${origin}\n`;

/** The mail that says what a class asks of one who joined it. */
export const askedLetter = (words: string, facts: ClassFacts): Letter => ({
  subject: `${facts.by} asks for something: ${facts.className}`,
  text: framed([`${facts.by} asks of what you handed in to “${facts.className}”:`, words], facts),
});

/** The mail that brings what was given back. */
export const givenBackLetter = ({ lines, words }: LetterGivenBack, facts: ClassFacts): Letter => ({
  subject: `${facts.by} has read your hand-in: ${facts.className}`,
  text: framed(
    [
      `${facts.by} has read what you handed in to “${facts.className}”.`,
      ...lines.map(lineInWords),
      ...(words ? [words] : []),
    ],
    facts,
  ),
});
