import { digestOf } from '../check/digest.ts';
import type { Id } from '../id.ts';
import { type AskedAt, type AskedLine, type LookAnswer, type LookAnswers, mostWords } from './second-look.ts';

/** Names of the fields of a line. */
export const fieldsOf = (line: Id) => ({
  says: `says-${line}`,
  words: `words-${line}`,
  at: `at-${line}`,
  had: `had-${line}`,
});

/** Values of the field that says where; any other one is the id of a part. */
export const atHere = '';
export const atAsBefore = 'as-before';

/** Tells whether a line was changed since its form was drawn: another tab may have answered it since. */
export const markOf = (answer: LookAnswer | undefined): string => digestOf(JSON.stringify(answer ?? null));

/** The page on which the form stood. */
export interface LookedAtPage {
  /** null: one that nobody made, like that of a tag. */
  page: Id | null;
  title: string;
  /** What a part that stands on it is called; null: it does not. */
  nameOf(part: Id): string | null;
}

export interface TypedAnswers {
  answers: LookAnswers;
  /** Lines of which the words are too long; they are in the answers as they were typed. */
  tooLong: readonly Id[];
}

function placeOf(typed: string, before: LookAnswer | undefined, here: LookedAtPage): AskedAt | null {
  if (typed === atAsBefore && before?.says === 'unsure' && before.at) return before.at;
  if (here.page === null) return null;
  const name = here.nameOf(typed);
  return name === null
    ? { page: here.page, part: null, about: here.title }
    : { page: here.page, part: typed, about: name };
}

/**
 * What was sent by the form, laid over what was said before. A line that was left as the form had it stays as it is now, so two tabs
 * take nothing from each other. Words without a tick are a question.
 *
 * @param field value of a field by its name; empty where it was not sent
 */
export function typedAnswers(
  lines: readonly AskedLine[],
  before: LookAnswers,
  field: (name: string) => string,
  here: LookedAtPage,
): TypedAnswers {
  const answers: Record<Id, LookAnswer> = {};
  const tooLong: Id[] = [];
  for (const { id } of lines) {
    const names = fieldsOf(id);
    const had = before[id];
    const says = field(names.says);
    // A form sends each end of a line as two characters.
    const words = field(names.words).replaceAll('\r\n', '\n').trim();
    const typed = ((): LookAnswer | undefined => {
      if (says === 'yes') return { says };
      if (says !== 'unsure' && words === '') return undefined;
      return { says: 'unsure', words, at: placeOf(field(names.at), had, here) };
    })();
    const untouched = markOf(typed) === field(names.had);
    const now = untouched ? had : typed;
    if (!now) continue;
    answers[id] = now;
    if (!untouched && now.says === 'unsure' && now.words.length > mostWords) tooLong.push(id);
  }
  return { answers, tooLong };
}
