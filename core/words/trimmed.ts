/** A text without blanks and some signs at its ends. */
export function trimmed(text: string, before: string, after = before): string {
  let [from, to] = [0, text.length];
  const is = (at: number, signs: string) => signs.includes(text[at] ?? '') || (text[at] ?? '').trim() === '';
  while (from < to && is(from, before)) from++;
  while (to > from && is(to - 1, after)) to--;
  return text.slice(from, to);
}
