import { plural } from '../words/plural.ts';
import { shortened } from '../words/shortened.ts';
import type { Letter, LetterFacts } from './account-letter.ts';

/** A comment that waits, as far as a mail tells of it. */
export interface WaitingComment {
  name: string;
  words: string;
  /** Title of its page; empty where that is gone. */
  page: string;
  /** Id of its site. */
  site: string;
}

/** So many are told of in one mail, and so much of each; in characters. */
const [mostTold, mostWords] = [10, 300];

/** The mail that says which comments wait. @param waiting the newest first, at least one */
export function commentsLetter(
  waiting: readonly WaitingComment[],
  { name, origin }: Omit<LetterFacts, 'token'>,
): Letter {
  const told = waiting
    .slice(0, mostTold)
    .map(({ name: who, words, page }) => `${who}${page && `, on ${page}`}:\n${shortened(words, mostWords)}`);
  const more = waiting.length - told.length;
  const many = plural(waiting.length, 'comment waits', 'comments wait');
  return {
    subject: `${many} for you`,
    text: `${[
      `Hello ${name},`,
      `${many} for you. Nobody else sees ${waiting.length === 1 ? 'it' : 'them'} before you say so.`,
      ...told,
      ...(more > 0 ? [`And ${more} more.`] : []),
      `Read and answer here:\n${origin}/studio/${waiting[0]?.site ?? ''}/feedback`,
      'You can have such a mail once a day at most, or none: choose it at the foot of that page.',
    ].join('\n\n')}\n\n-- \nKite Wall at ${origin}\n`,
  };
}
