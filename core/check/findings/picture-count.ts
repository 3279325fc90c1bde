import { isWork } from '../../pages/page.ts';
import { type CheckedPage, standingOn } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** How many pictures show a project well: enough to see how it came about, few enough to look at (common practice). */
const fewest = 4;
const most = 8;

/** Projects with fewer or more pictures than readers look at. */
export function pictureCount({ page, materials }: CheckedPage): Noticed[] {
  if (!isWork(page)) return [];
  const count = standingOn(page).filter(({ material }) => materials.get(material)?.kind === 'picture').length;
  if (count >= fewest && count <= most) return [];
  return [
    {
      ...{ weight: 'nice', part: null, material: null, of: count < fewest ? 'few' : 'many' },
      says:
        count === 0
          ? 'The project has no picture.'
          : `The project has ${count === 1 ? 'one picture' : `${count} pictures`}.`,
      why:
        count < fewest
          ? 'Four to eight show what it is and how it came about. A sketch and a failed try count.'
          : 'Readers tire after eight. Keep those that each say something of their own; the contact sheet helps.',
    },
  ];
}
