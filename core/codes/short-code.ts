/**
 * Letters and digits that are not taken for one another in print (common practice: no O and 0, I, l and 1, S and 5, B and 8, Z and 2, G
 * and 6) nor when they are said aloud (no M beside N, no D beside T, no B beside P).
 */
const consonants = 'FHKMPRTW';
const vowels = 'AE';
const digits = '2345679';

/** Two syllables and two digits: said once, they are understood. */
const form = [consonants, vowels, consonants, consonants, vowels, consonants, digits, digits];

/** How many different codes there are. */
export const shortCodes = form.reduce((all, { length }) => all * length, 1);

/**
 * A short code for print, as it is kept: `KARMET27`. It can be guessed by whoever tries long enough, so it must lead only to what anybody
 * may open, or to what asks for more.
 *
 * @param below a random whole number below `most`, from a source that cannot be foreseen
 */
export const newShortCode = (below: (most: number) => number): string =>
  form.map((letters) => letters[below(letters.length)]).join('');

/** As it is printed: `KARMET 27`. */
export const shortCodeInPrint = (code: string): string => `${code.slice(0, -2)} ${code.slice(-2)}`;

/** A code as somebody typed it, with spaces and in small letters; null where it is none. */
export function readShortCode(typed: string): string | null {
  const code = typed.toUpperCase().replace(/[\s-]/g, '');
  const fits = code.length === form.length && form.every((letters, at) => letters.includes(code[at] ?? ' '));
  return fits ? code : null;
}
