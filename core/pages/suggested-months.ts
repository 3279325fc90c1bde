import type { CaseFacts } from './case-facts.ts';
import type { Id } from '../id.ts';
import type { Material } from '../materials/material.ts';
import { materialsOn } from './materials-on.ts';
import type { PageBase } from './page.ts';
import type { Shown } from './page-contents.ts';
import { monthOf } from '../dates/partial-date.ts';

/**
 * From when to when a project was made, as the dates of what stands on its page and of what was gathered for it say;
 * null when none is dated by the month. A suggestion only: cameras' clocks are often wrong.
 */
export function suggestedMonths(
  page: Pick<PageBase, 'id'> & Pick<Shown, 'cover' | 'opening' | 'parts'>,
  materials: ReadonlyMap<Id, Pick<Material, 'id' | 'project' | 'takenOn'>>,
): Pick<CaseFacts, 'from' | 'to'> | null {
  const here = new Set(materialsOn(page));
  const months = [...materials.values()]
    .filter((one) => here.has(one.id) || one.project === page.id)
    .flatMap(({ takenOn }) => (takenOn === null ? [] : monthOf(takenOn)))
    .filter((month) => month.length === 7)
    .sort();
  const from = months[0];
  const to = months.at(-1);
  if (from === undefined || to === undefined) return null;
  return { from, to: to === from ? null : to };
}
