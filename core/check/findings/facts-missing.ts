import { factsOf, isWork } from '../../pages/page.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** What a reader of work done with others asks first: what did you do. */
export function factsMissing({ page }: CheckedPage): Noticed[] {
  if (!isWork(page)) return [];
  const { role, withWhom, from, when } = factsOf(page);
  const at = { part: null, material: null };
  const others = withWhom.filter(({ name }) => name.trim() !== '').length;
  return [
    ...(others > 0 && role.trim() === ''
      ? [
          {
            ...{ ...at, weight: 'needed' as const, of: withWhom.map(({ name }) => name).join(', ') },
            says: 'Others are named, and your own part is not.',
            why: 'Nobody can tell what was yours. Fill in Role, in the case facts.',
          },
        ]
      : []),
    ...(from === null && when.trim() === ''
      ? [
          {
            ...{ ...at, weight: 'nice' as const, of: 'when' },
            says: 'The page does not say when it was made.',
            why: 'Readers want to see what came after what. A year is enough.',
          },
        ]
      : []),
  ];
}
