import type { Id } from '../../id.ts';
import { materialsOf } from '../../parts/materials-of.ts';
import { called, type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Pictures on one page that show the same thing in the same way. Those of a comparison are meant to. */
export function looksAlike({ page, materials, lookedAt }: CheckedPage): Noticed[] {
  const standing = standingOn(page);
  const compared = page.parts.flatMap((part) =>
    part.kind === 'compare' ? [new Set(materialsOf(part))] : [],
  );
  const areCompared = (ids: readonly Id[]) => compared.some((pair) => ids.every((id) => pair.has(id)));
  return lookedAt.groups.flatMap((group) => {
    const here = standing.filter(({ material }) => group.includes(material) && materials.has(material));
    const ids = here.map(({ material }) => material);
    const [first, second, ...more] = here;
    const [one, other] = [first, second].map((at) => at && materials.get(at.material));
    if (!second || !one || !other || areCompared(ids)) return [];
    const others = more.length === 0 ? '' : more.length === 1 ? ' and one more' : ` and ${more.length} more`;
    return {
      ...{ weight: 'nice' as const, part: second.part, material: second.material, of: ids.join(' ') },
      says: `${called(other)} looks like ${called(one)}${others}.`,
      why: 'Who looks at them sees one thing twice. Keep the one that says more.',
    };
  });
}
