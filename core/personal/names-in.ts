/** Shorter names than this, in letters, are too often another word. */
const fewestLetters = 3;

const wordsOf = (text: string): string[] => text.normalize('NFC').match(/[\p{L}\p{N}-]+/gu) ?? [];

/** Somebody whose name is looked for: whom the maker knows, or what only looks like a name. */
export interface Person {
  name: string;
  isKnown: boolean;
}

/** Names by their first word, so that a text is gone through once, however many there are. */
export type ByFirstWord = ReadonlyMap<string, readonly { name: string; words: readonly string[] }[]>;

export function byFirstWord(names: readonly string[]): ByFirstWord {
  const known = new Map<string, { name: string; words: string[] }[]>();
  for (const name of new Set(names.map((one) => one.trim()))) {
    const words = wordsOf(name);
    const [first] = words;
    if (first === undefined || (words.length === 1 && first.length < fewestLetters)) continue;
    known.set(first, [...(known.get(first) ?? []), { name, words }]);
  }
  return known;
}

/** Which names stand in a text, written as they are: `mark` is no Mark. */
export function namesIn(text: string, known: ByFirstWord): string[] {
  const words = wordsOf(text);
  return words.flatMap((word, at) =>
    (known.get(word) ?? [])
      .filter((one) => one.words.every((part, further) => words[at + further] === part))
      .map(({ name }) => name),
  );
}
