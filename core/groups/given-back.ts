import { z } from 'zod';
import { type Id, idSchema } from '../id.ts';
import type { GroupList } from './group.ts';

/** How far a line of a list is, as whoever reads the work sees it. */
export const levelSchema = z.enum(['not-yet', 'nearly', 'there']);
export type Level = z.infer<typeof levelSchema>;

export const levelWords: Record<Level, string> = {
  'not-yet': 'Not yet',
  nearly: 'Nearly there',
  there: 'There',
};

/** So long may be what is said to one line, and to the whole; in characters. */
export const [mostLineWords, mostLetterWords] = [600, 4000];

/** What is said of what was handed in, line by line and as a whole. */
export const returnedSchema = z.object({
  /** By the ids of lines; what nothing is said of is not in it. */
  lines: z.record(
    idSchema,
    z.object({
      level: levelSchema.nullable(),
      words: z
        .string()
        .trim()
        .max(mostLineWords, `To one line at most ${mostLineWords} characters are said.`),
    }),
  ),
  words: z
    .string()
    .trim()
    .max(mostLetterWords, `The letter can be at most ${mostLetterWords} characters long.`),
});
export type Returned = z.infer<typeof returnedSchema>;

/** One line of a letter: what was asked, and what is said of it. */
export interface LineGivenBack {
  id: Id;
  text: string;
  level: Level | null;
  words: string;
}

export interface LetterGivenBack {
  lines: LineGivenBack[];
  words: string;
}

/** A letter as it is read later, whatever becomes of the list: the lines it speaks of, in the list's order. */
export function letterOf(list: GroupList | null, { lines, words }: Returned): LetterGivenBack {
  const told = (list?.lines ?? []).flatMap(({ id, text }) => {
    const said = Object.hasOwn(lines, id) ? lines[id] : undefined;
    return said && (said.level !== null || said.words !== '')
      ? [{ id, text, level: said.level, words: said.words }]
      : [];
  });
  return { lines: told, words };
}
