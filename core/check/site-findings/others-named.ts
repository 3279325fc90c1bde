import type { Id } from '../../id.ts';
import type { Material } from '../../materials/material.ts';
import { pageName } from '../../pages/page-kinds.ts';
import type { ShownPage } from '../../pages/page.ts';
import { byFirstWord, type ByFirstWord, namesIn, type Person } from '../../personal/names-in.ts';
import { plural } from '../../words/plural.ts';
import { stillSeen } from '../../personal/still-seen.ts';
import { called, standingOn } from '../checked-page.ts';
import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';
import { saidOf, wordsOn } from '../words-on.ts';

interface Named {
  name: string;
  /** The part in which it stands first; null: above all of them. */
  part: Id | 'opening' | null;
  /** Of which document or picture of it; null: in its words. */
  material: Id | null;
  /** Inside that, or in what is said of it. */
  inside: boolean;
}

interface Memory {
  known: ByFirstWord;
  on: WeakMap<ShownPage, Named[]>;
  of: WeakMap<Material, string[]>;
}
/** Names by what was looked for: what did not change is not gone through again. */
const looked = new WeakMap<readonly Person[], Memory>();

function memoryFor(people: readonly Person[]): Memory {
  const memory = looked.get(people) ?? {
    known: byFirstWord(people.map(({ name }) => name)),
    ...{ on: new WeakMap<ShownPage, Named[]>(), of: new WeakMap<Material, string[]>() },
  };
  looked.set(people, memory);
  return memory;
}

function namedOn(page: ShownPage, { known, on }: Memory): Named[] {
  const before = on.get(page);
  if (before) return before;
  const all = wordsOn(page).flatMap(({ part, texts }) =>
    texts
      .flatMap((text) => namesIn(text, known))
      .map((name) => ({ name, part, material: null, inside: false })),
  );
  on.set(page, all);
  return all;
}

function namedOf(material: Material, { known, of }: Memory): string[] {
  const names = of.get(material) ?? saidOf(material).flatMap((text) => namesIn(text, known));
  of.set(material, names);
  return names;
}

/** Names in what is said of what stands on a page, and to be read inside it. */
function namedWith(page: ShownPage, { materials, inside }: CheckedSite, memory: Memory): Named[] {
  return standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if (!one) return [];
    const within = (inside[material] ?? []).flatMap((found) =>
      found.kind === 'name' && stillSeen(found, one.fixes) ? [found.text] : [],
    );
    return [
      ...namedOf(one, memory).map((name) => ({ name, part, material, inside: false })),
      ...within.map((name) => ({ name, part, material, inside: true })),
    ];
  });
}

/**
 * People who are named on pages, in words, in what is said of pictures, or inside what stands there: whether they may be is asked once,
 * wherever it is. Those whom the maker keeps in groups are known; of all others it is only guessed that they are people.
 */
export function othersNamed(site: CheckedSite): NoticedOnSite[] {
  const { pages, people, materials, underAge } = site;
  const known = new Set(people.filter(({ isKnown }) => isKnown).map(({ name }) => name.trim()));
  const memory = memoryFor(people);
  const where = new Map<string, (Named & { page: ShownPage })[]>();
  for (const page of [...pages].sort((a, b) => (a.id < b.id ? -1 : 1))) {
    const onPage = new Map<string, Named>();
    for (const named of [...namedOn(page, memory), ...namedWith(page, site, memory)])
      if (!onPage.has(named.name)) onPage.set(named.name, named);
    for (const [name, named] of onPage) where.set(name, [...(where.get(name) ?? []), { ...named, page }]);
  }
  return [...where].flatMap(([name, [first, ...others]]) => {
    if (!first) return [];
    const of = first.material === null ? undefined : materials.get(first.material);
    const there = of ? `${first.inside ? 'in' : 'in what is said of'} ${called(of)} ` : '';
    const more = others.length === 0 ? '' : ` and ${plural(others.length, 'more page', 'more pages')}`;
    const place = `${there}on ${pageName(first.page)}${more}`;
    return {
      ...{ weight: 'nice' as const, page: first.page.id, part: first.part, material: first.material },
      ...{ of: name, askedOnce: name },
      says: known.has(name)
        ? `${name} is named ${place}.`
        : `“${name}”, ${place}, looks like somebody’s name.`,
      why: underAge
        ? 'Whoever is named can be found by it, and may be under 18 like you. Ask them and those who look after them, and let it stand once they say yes; else initials will do.'
        : 'Whoever is named can be found by it. Ask whether they may be, and let it stand once they say yes; else initials will do.',
    };
  });
}
