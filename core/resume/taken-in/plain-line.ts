/** Longer ones are no lines of a résumé, in characters. */
const longest = 4000;
/** What stands apart in a line, by three blanks or more, is told from what does not by so many. */
export const apart = '    ';

/** A line with single blanks, and with four where something is set apart. */
export function plainLine(text: string): string {
  let line = '';
  let blanks = 0;
  for (const word of text.slice(0, longest).split(/\s/)) {
    if (word === '') blanks++;
    else {
      line += line === '' ? word : (blanks > 1 ? apart : ' ') + word;
      blanks = 0;
    }
  }
  return line;
}
