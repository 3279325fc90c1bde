import type { Id } from '../id.ts';
import type { Material, MaterialKind } from './material.ts';
import { byRank } from '../pages/by-rank.ts';
import type { Page } from '../pages/page.ts';
import { monthOf } from '../dates/partial-date.ts';
import { partialDateInWords } from '../dates/partial-date-in-words.ts';
import { usedMaterials } from './where-used.ts';
import { pageName } from '../pages/page-kinds.ts';

export const groupings = ['project', 'month', 'kind', 'used', 'alike'] as const;
export type Grouping = (typeof groupings)[number];

const kindTitles: Record<MaterialKind, string> = {
  picture: 'Pictures',
  document: 'Documents',
  clip: 'Clips',
  sound: 'Sounds',
  link: 'Links',
  note: 'Notes',
};

export interface MaterialGroup {
  /** Stable while its materials change; a page's id, a month, or a word. */
  key: string;
  title: string;
  /** Set when the group is a page. */
  page: Id | null;
  materials: Material[];
}

/**
 * Finds the page a material stands on, or was gathered for: the first in the site's order that shows it.
 *
 * @param pagesInOrder read once, so that asking for thousands of materials stays quick
 */
export function homes(pagesInOrder: readonly Page[]): (material: Material) => Page | null {
  const byId = new Map(pagesInOrder.map((page) => [page.id, page]));
  const shownOn = new Map<Id, Page>();
  for (const page of pagesInOrder)
    for (const id of usedMaterials([page])) if (!shownOn.has(id)) shownOn.set(id, page);
  return ({ id, project }) => shownOn.get(id) ?? (project === null ? null : (byId.get(project) ?? null));
}

/**
 * Materials in groups, each material in one group only, and no group empty. Groups of pages follow the site's order after
 * the loose ones; look-alikes come before what is like no other; months go from the newest to the oldest, undated ones last. Inside a group the order is kept.
 */
export function groupMaterials(
  materials: readonly Material[],
  pages: readonly Page[],
  by: Grouping,
  alike: readonly (readonly Id[])[] = [],
): MaterialGroup[] {
  const inOrder = [...pages].sort(byRank);
  const groups = new Map<string, MaterialGroup>();
  const start = (key: string, title: string, page: Id | null = null) => {
    if (!groups.has(key)) groups.set(key, { key, title, page, materials: [] });
  };
  const put = (key: string, material: Material) => groups.get(key)?.materials.push(material);

  switch (by) {
    case 'project': {
      const homeOf = homes(inOrder);
      start('loose', 'Loose');
      for (const page of inOrder) start(page.id, pageName(page), page.id);
      for (const material of materials) put(homeOf(material)?.id ?? 'loose', material);
      break;
    }
    case 'month': {
      const months = materials.flatMap(({ takenOn }) => (takenOn ? [monthOf(takenOn)] : []));
      for (const month of [...new Set(months)].sort().reverse()) start(month, partialDateInWords(month));
      start('undated', 'No date');
      for (const material of materials)
        put(material.takenOn ? monthOf(material.takenOn) : 'undated', material);
      break;
    }
    case 'alike': {
      const known = new Map(materials.map((material) => [material.id, material]));
      const groupOf = new Map<Id, string>();
      let unnamed = 0;
      for (const group of alike) {
        const here = group.filter((id) => known.has(id));
        const [first] = here;
        if (first === undefined || here.length < 2) continue;
        const key = `alike-${first}`;
        start(key, known.get(first)?.title || `Look-alikes ${++unnamed}`);
        for (const id of here) groupOf.set(id, key);
      }
      start('single', 'Like no other');
      for (const material of materials) put(groupOf.get(material.id) ?? 'single', material);
      break;
    }
    case 'kind': {
      for (const [kind, title] of Object.entries(kindTitles)) start(kind, title);
      for (const material of materials) put(material.kind, material);
      break;
    }
    case 'used': {
      start('not-used', 'Not used yet');
      start('used', 'On pages');
      const shown = usedMaterials(pages);
      for (const material of materials) put(shown.has(material.id) ? 'used' : 'not-used', material);
    }
  }
  return [...groups.values()].filter((group) => group.materials.length > 0);
}

export const orders = ['added', 'taken', 'title'] as const;
export type Order = (typeof orders)[number];

/**
 * Materials in another order: `added` newest first, `taken` from the oldest with undated ones last, `title` as a
 * dictionary has them with untitled ones last. What is equal stays as it was.
 *
 * @param materials as they were added, oldest first
 */
export function sortMaterials(materials: readonly Material[], order: Order): Material[] {
  if (order === 'added') return [...materials].reverse();
  const keyOf = (material: Material): string | null =>
    order === 'taken' ? material.takenOn : material.title || null;
  return [...materials].sort((a, b) => {
    const [one, other] = [keyOf(a), keyOf(b)];
    if (one === null || other === null) return Number(one === null) - Number(other === null);
    return one.localeCompare(other, 'en', { numeric: true, sensitivity: 'base' });
  });
}
