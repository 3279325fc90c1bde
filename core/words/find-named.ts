import { plainWords, queryWords } from './plain-words.ts';

/** What something is found by. */
export interface Names {
  /** As it is shown. */
  name: string;
  /** Other words it is found by. */
  also: string;
}

const plain = new WeakMap<Names, Names>();
function plainly(names: Names): Names {
  const known = plain.get(names);
  if (known) return known;
  const made = { name: plainWords(names.name), also: plainWords(names.also) };
  plain.set(names, made);
  return made;
}

/**
 * Things in whose names every word of a query occurs, in the order in which somebody would look for them: those whose name
 * begins with what was typed, then those whose name has all the words, then the others. All of them for an empty query.
 *
 * @param namesOf the same object each time for the same thing: it is read only once
 */
export function findNamed<T>(things: readonly T[], query: string, namesOf: (thing: T) => Names): T[] {
  const words = queryWords(query);
  if (words.length === 0) return [...things];
  const typed = plainWords(query).trim();
  const ranked: [T[], T[], T[]] = [[], [], []];
  for (const thing of things) {
    const { name, also } = plainly(namesOf(thing));
    if (name.startsWith(typed)) ranked[0].push(thing);
    else if (words.every((word) => name.includes(word))) ranked[1].push(thing);
    else if (words.every((word) => name.includes(word) || also.includes(word))) ranked[2].push(thing);
  }
  return ranked.flat();
}
