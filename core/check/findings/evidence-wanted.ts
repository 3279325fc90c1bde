import { isWork } from '../../pages/page.ts';
import { evidenceCount } from '../../parts/evidence-count.ts';
import { plural } from '../../words/plural.ts';
import type { CheckedPage } from '../checked-page.ts';
import { evidenceAsked } from '../lists/evidence-asked.ts';
import type { Noticed } from '../noticed.ts';

/** Projects with less evidence than their maker wishes for, or than a list of a class asks for. */
export function evidenceWanted({ page, site }: CheckedPage): Noticed[] {
  if (!isWork(page)) return [];
  const has = evidenceCount(page.parts);
  const { count, list } = evidenceAsked(site);
  if (has >= count) return [];
  const wish = list
    ? `The list “${list.name || 'A list'}”${list.by ? ` from ${list.by}` : ''} asks for ${count} in each.`
    : `You wish for ${count} in each.`;
  return [
    {
      ...{ weight: 'nice', part: null, material: null, of: `${has} of ${count}` },
      says:
        has === 0
          ? 'The project has no evidence yet.'
          : `The project has ${plural(has, 'piece of evidence', 'pieces of evidence')} so far.`,
      why: `${wish} Show a thing, and say why it is there and what it shows.`,
    },
  ];
}
