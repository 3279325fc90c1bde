import { cut } from '../words/cut.ts';
import type { Id } from '../id.ts';
import { copyOfPart } from '../parts/copy-of-part.ts';
import type { PageBase, ShownPage } from './page.ts';

/**
 * A second page with the same words, pictures and facts. It starts Private: a whole page that its maker has not looked at
 * yet must not go out with the next publish.
 *
 * @param at its place among the others, and its own part of the address
 * @param newId makes an id for the page and each of its parts
 */
export function copyOfPage<P extends ShownPage>(
  page: P,
  at: Pick<PageBase, 'rank' | 'slug'>,
  newId: () => Id,
): P {
  const ids = new Map(page.parts.map(({ id }) => [id, newId()]));
  return {
    ...page,
    ...at,
    id: newId(),
    title: page.title ? cut(`Copy of ${page.title}`, 160) : '',
    height: 'private',
    archived: false,
    parts: page.parts.map((part) => {
      const { beside } = part;
      const other = beside && ids.get(beside.with);
      return {
        ...copyOfPart(part, newId),
        id: ids.get(part.id) ?? newId(),
        ...(beside && other ? { beside: { ...beside, with: other } } : {}),
      };
    }),
  };
}
