import { shortened } from '../words/shortened.ts';
import type { Letter } from './account-letter.ts';

export interface AnswerLetterFacts {
  /** The name they wrote under, and what they wrote. */
  name: string;
  words: string;
  answer: string;
  /** Where they read it, in full; null where that is closed to them now. */
  url: string | null;
  /** Where such mails are ended. */
  stops: string;
  /** Origin of the server, without a slash at its end. */
  origin: string;
}

/** So much of what somebody wrote is told again, in characters. */
const mostWords = 300;

/** The mail that tells whoever commented of an answer. It names nobody, and no page but by where they can read it now. */
export function answerLetter({ name, words, answer, url, stops, origin }: AnswerLetterFacts): Letter {
  return {
    subject: 'An answer to what you said',
    text: `${[
      `Hello ${name},`,
      'you said this on a site that somebody showed you:',
      shortened(words, mostWords),
      'Whoever made it answers:',
      answer,
      ...(url === null ? [] : [`It stands where you said it:\n${url}`]),
    ].join(
      '\n\n',
    )}\n\n-- \nKite Wall at ${origin}. No more mails about what you said on that site: ${stops}\n`,
    stops,
  };
}
