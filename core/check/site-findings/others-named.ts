import type { Id } from '../../id.ts';
import { pageName } from '../../pages/page-kinds.ts';
import type { ShownPage } from '../../pages/page.ts';
import { textsIn } from '../../parts/texts-in.ts';
import { plural } from '../../words/plural.ts';
import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';

/** Shorter names than this, in letters, are too often another word. */
const fewestLetters = 3;

const wordsOf = (text: string): string[] => text.normalize('NFC').match(/[\p{L}\p{N}-]+/gu) ?? [];

/** Names by their first word, so that a text is gone through once, however many there are. */
type ByFirstWord = ReadonlyMap<string, readonly { name: string; words: readonly string[] }[]>;

function byFirstWord(names: readonly string[]): ByFirstWord {
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
function namesIn(text: string, known: ByFirstWord): string[] {
  const words = wordsOf(text);
  return words.flatMap((word, at) =>
    (known.get(word) ?? [])
      .filter((one) => one.words.every((part, further) => words[at + further] === part))
      .map(({ name }) => name),
  );
}

interface Named {
  name: string;
  /** The part in which it stands first; null: above all of them. */
  part: Id | null;
}

/** Names on pages by what was looked for: a page that did not change is not gone through again. */
const looked = new WeakMap<readonly string[], { known: ByFirstWord; on: WeakMap<ShownPage, Named[]> }>();

function namedOn(page: ShownPage, people: readonly string[]): Named[] {
  const memory = looked.get(people) ?? { known: byFirstWord(people), on: new WeakMap<ShownPage, Named[]>() };
  looked.set(people, memory);
  const before = memory.on.get(page);
  if (before) return before;
  const found = new Map<string, Named>();
  const look = (part: Id | null, texts: readonly string[]) => {
    for (const name of texts.flatMap((text) => namesIn(text, memory.known)))
      if (!found.has(name)) found.set(name, { name, part });
  };
  look(null, [page.title, page.summary, ...('facts' in page ? textsIn(page.facts) : [])]);
  for (const part of page.parts) look(part.id, textsIn(part));
  const all = [...found.values()];
  memory.on.set(page, all);
  return all;
}

/**
 * People whom the maker keeps in groups and names on pages: whether they may be named is asked once, wherever it is. What is said of
 * pictures and stands in documents is not gone through.
 */
export function othersNamed({ pages, people }: CheckedSite): NoticedOnSite[] {
  if (people.length === 0) return [];
  const where = new Map<string, { page: ShownPage; part: Id | null }[]>();
  for (const page of [...pages].sort((a, b) => (a.id < b.id ? -1 : 1)))
    for (const { name, part } of namedOn(page, people))
      where.set(name, [...(where.get(name) ?? []), { page, part }]);
  return [...where].flatMap(([name, [first, ...others]]) => {
    if (!first) return [];
    const more = others.length === 0 ? '' : ` and ${plural(others.length, 'more page', 'more pages')}`;
    return {
      ...{ weight: 'nice' as const, page: first.page.id, part: first.part, material: null },
      ...{ of: name, askedOnce: name },
      says: `${name} is named on ${pageName(first.page)}${more}.`,
      why: 'Whoever is named can be found by it. Ask whether they may be, and let it stand once they say yes; else initials will do.',
    };
  });
}
