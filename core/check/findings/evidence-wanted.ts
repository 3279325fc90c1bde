import { isWork } from '../../pages/page.ts';
import { evidenceCount } from '../../parts/evidence-count.ts';
import { plural } from '../../words/plural.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Projects with less evidence than their maker wishes for. */
export function evidenceWanted({ page, site }: CheckedPage): Noticed[] {
  if (!isWork(page)) return [];
  const has = evidenceCount(page.parts);
  if (has >= site.evidenceWanted) return [];
  return [
    {
      ...{ weight: 'nice', part: null, material: null, of: `${has} of ${site.evidenceWanted}` },
      says: `The project has ${has === 0 ? 'no evidence' : plural(has, 'piece of evidence', 'pieces of evidence')} yet.`,
      why: `You wish for ${site.evidenceWanted} in each. Show a thing, and say why it is there and what it shows.`,
    },
  ];
}
