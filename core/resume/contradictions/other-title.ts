import type { WorkPage } from '../../pages/page.ts';
import type { PartOf } from '../../parts/parts.ts';
import { stemsIn } from '../../words/stems.ts';
import type { Contradiction } from './contradiction.ts';

/** A project that is called quite differently here than on its page: no word of the two is the same. */
export function otherTitle(entry: PartOf<'entry'>, page: WorkPage): Contradiction | null {
  const [here, there] = [stemsIn(entry.title), new Set(stemsIn(page.title))];
  if (here.length === 0 || there.size === 0 || here.some((stem) => there.has(stem))) return null;
  return {
    kind: 'title',
    entry: entry.id,
    sentence: `It is called “${entry.title}” here and “${page.title}” on its page.`,
  };
}
