import type { Id } from '../id.ts';

/** All that stands below a page, however deep, those above first; what stands in a circle with it is not below it. */
export function pagesBelow<P extends { id: Id; parent: Id | null }>(pages: readonly P[], id: Id): P[] {
  const met = new Set<Id>([id]);
  const below: P[] = [];
  for (let last: Id[] = [id]; last.length > 0;) {
    const over = new Set(last);
    const next = pages.filter((one) => one.parent !== null && over.has(one.parent) && !met.has(one.id));
    for (const one of next) met.add(one.id);
    below.push(...next);
    last = next.map((one) => one.id);
  }
  return below;
}
