import type { Id } from '../../id.ts';
import { pageName } from '../../pages/page-kinds.ts';
import type { ShownPage } from '../../pages/page.ts';
import { textsIn } from '../../parts/texts-in.ts';
import { byFirstWord, type ByFirstWord, namesIn } from '../../personal/names-in.ts';
import { plural } from '../../words/plural.ts';
import { stillSeen } from '../../personal/still-seen.ts';
import { called, standingOn } from '../checked-page.ts';
import type { CheckedSite, NoticedOnSite } from '../checked-site.ts';

interface Named {
  name: string;
  /** The part in which it stands first; null: above all of them. */
  part: Id | 'opening' | null;
  /** Inside which document or picture of it; null: in its words. */
  material: Id | null;
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
      if (!found.has(name)) found.set(name, { name, part, material: null });
  };
  look(null, [page.title, page.summary, ...('facts' in page ? textsIn(page.facts) : [])]);
  for (const part of page.parts) look(part.id, textsIn(part));
  const all = [...found.values()];
  memory.on.set(page, all);
  return all;
}

/** Names to be read inside the documents and pictures of a page. */
function namedInside(page: ShownPage, { materials, inside }: CheckedSite): Named[] {
  return standingOn(page).flatMap(({ material, part }) => {
    const one = materials.get(material);
    if (!one) return [];
    return (inside[material] ?? []).flatMap((found) =>
      found.kind === 'name' && stillSeen(found, one.fixes) ? { name: found.text, part, material } : [],
    );
  });
}

/**
 * People whom the maker keeps in groups and names on pages, in words or inside what stands there: whether they may be named is asked
 * once, wherever it is. What is said of pictures is not gone through.
 */
export function othersNamed(site: CheckedSite): NoticedOnSite[] {
  const { pages, people, materials, underAge } = site;
  if (people.length === 0) return [];
  const where = new Map<string, (Named & { page: ShownPage })[]>();
  for (const page of [...pages].sort((a, b) => (a.id < b.id ? -1 : 1))) {
    const onPage = new Map<string, Named>();
    for (const named of [...namedOn(page, people), ...namedInside(page, site)])
      if (!onPage.has(named.name)) onPage.set(named.name, named);
    for (const [name, named] of onPage) where.set(name, [...(where.get(name) ?? []), { ...named, page }]);
  }
  return [...where].flatMap(([name, [first, ...others]]) => {
    if (!first) return [];
    const within = first.material === null ? undefined : materials.get(first.material);
    const more = others.length === 0 ? '' : ` and ${plural(others.length, 'more page', 'more pages')}`;
    return {
      ...{
        weight: 'nice' as const,
        page: first.page.id,
        part: first.part,
        material: first.material,
      },
      ...{ of: name, askedOnce: name },
      says: `${name} is named ${within ? `in ${called(within)} ` : ''}on ${pageName(first.page)}${more}.`,
      why: underAge
        ? 'Whoever is named can be found by it, and may be under 18 like you. Ask them and those who look after them, and let it stand once they say yes; else initials will do.'
        : 'Whoever is named can be found by it. Ask whether they may be, and let it stand once they say yes; else initials will do.',
    };
  });
}
