const wordsOf = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{M}]+/gu) ?? [];

/** Whether a name is another one, whole or with less in it: “Ida Holm” is “Ida Marie Holm”. */
export function isCalled(name: string, other: string): boolean {
  const [words, others] = [wordsOf(name), wordsOf(other)];
  const isWithin = (some: readonly string[], all: readonly string[]) =>
    some.every((one) => all.includes(one));
  return words.length > 0 && others.length > 0 && (isWithin(words, others) || isWithin(others, words));
}
