/** Longest line of an entry, in characters. */
export const longestLine = 600;

/**
 * A text as lines that an entry can hold: whole where it is short, else broken behind sentences, or between words where a sentence is
 * too long. Joined by single spaces they are the text again.
 */
export function linesOfText(text: string): string[] {
  const lines: string[] = [];
  let rest = text;
  while (rest.length > longestLine) {
    const head = rest.slice(0, longestLine + 1);
    const sentence = Math.max(...['. ', '! ', '? '].map((end) => head.lastIndexOf(end))) + 1;
    const word = head.lastIndexOf(' ');
    const at = sentence > 1 ? sentence : word > 0 ? word : longestLine;
    lines.push(rest.slice(0, at));
    rest = rest.slice(rest[at] === ' ' ? at + 1 : at);
  }
  return [...lines, rest];
}
