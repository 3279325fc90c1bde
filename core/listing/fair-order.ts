/**
 * An order in which nobody comes first for their name or for being early: each day another one, the same for everybody on
 * that day, so that a list can be read a part at a time. Every order is as likely as any other as far as the hash is.
 *
 * @param day as ISO 8601
 * @param hash of a text, as text; equal for equal texts
 */
export function fairOrder<T extends { id: string }>(
  all: readonly T[],
  day: string,
  hash: (text: string) => string,
): T[] {
  return all
    .map((one) => ({ one, at: hash(`${day} ${one.id}`) }))
    .sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.one.id < b.one.id ? -1 : 1))
    .map(({ one }) => one);
}
