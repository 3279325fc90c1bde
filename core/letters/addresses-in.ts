import { z } from 'zod';

const address = z.email().max(254);

/** Mail addresses in a text, as people paste them: after commas, semicolons, blanks or lines, with or without a name before. */
export function addressesIn(text: string): string[] {
  const words = text.split(/[\s,;<>()"]+/).map((word) =>
    word
      .replace(/^mailto:/i, '')
      .replace(/[.:]$/, '')
      .toLowerCase(),
  );
  return [...new Set(words.filter((word) => address.safeParse(word).success))];
}
