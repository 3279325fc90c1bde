import type { Id } from '../id.ts';
import type { Arrangement } from '../sites/arrangement.ts';

/**
 * Work in the order in which it hangs on the front page: first what its maker has put in order there, then the rest as given.
 *
 * @param work in the order of the pages
 */
export function inWallOrder<P extends { id: Id }>(
  work: readonly P[],
  { wallOrder }: Pick<Arrangement, 'wallOrder'>,
): P[] {
  const places = new Map(wallOrder.map((id, at) => [id, at]));
  const placeOf = ({ id }: P) => places.get(id) ?? wallOrder.length;
  // Sorting keeps the order of what has the same place.
  return [...work].sort((a, b) => placeOf(a) - placeOf(b));
}
