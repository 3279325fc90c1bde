import type { SeenPart } from '../parts/parts.ts';
import type { Id } from '../id.ts';

/**
 * Numbers of the figures of a page, from 1, in the order in which they are read: pictures with words below them. One that is shown
 * twice keeps its first number.
 *
 * @param isCaptioned whether words stand below a picture
 */
export function figureNumbers(
  parts: readonly SeenPart[],
  isCaptioned: (picture: Id) => boolean,
): Map<Id, number> {
  const numbers = new Map<Id, number>();
  for (const part of parts) {
    const shown =
      part.kind === 'gallery'
        ? part.captions === 'hidden'
          ? []
          : part.pictures
        : part.kind === 'picture' && part.material !== null
          ? [part.material]
          : [];
    for (const id of shown) if (isCaptioned(id) && !numbers.has(id)) numbers.set(id, numbers.size + 1);
  }
  return numbers;
}
