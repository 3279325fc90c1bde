import type { Part, PartKind } from '../parts/parts.ts';
import { exactnesses } from '../parts/place.ts';
import { halves } from './halves.ts';

/** Facts about the maker in the order in which they stand at the top of their page, then their own words. */
const order: readonly PartKind[] = [
  'portrait',
  'full-name',
  'headline',
  'pronouns',
  'place',
  'availability',
  'languages',
  'profiles',
  'telling',
];

/** Whether a part tells of the maker on the page about them. */
export const isOfPerson = (part: Part): boolean => order.includes(part.kind);

/** Where among the parts that tell of the maker one belongs. */
function rank(part: Part): number {
  const within =
    part.kind === 'place'
      ? exactnesses.indexOf(part.exactness)
      : part.kind === 'telling'
        ? halves.indexOf(part.half)
        : 0;
  return order.indexOf(part.kind) * 10 + within;
}

/**
 * The parts of a page with one that tells of the maker: in its own place where it is there already, else behind those that come
 * before it; above everything else of the page where there are none.
 */
export function withPersonPart(parts: readonly Part[], part: Part): Part[] {
  if (parts.some(({ id }) => id === part.id)) return parts.map((one) => (one.id === part.id ? part : one));
  const at = parts.findLastIndex((one) => isOfPerson(one) && rank(one) <= rank(part)) + 1;
  return [...parts.slice(0, at), part, ...parts.slice(at)];
}

/** The parts with one portrait before all others: readers get the first that they may see. */
export function withPortraitFirst(parts: readonly Part[], id: string): Part[] {
  const chosen = parts.find((part) => part.id === id);
  const first = parts.findIndex(({ kind }) => kind === 'portrait');
  if (!chosen || first < 0) return [...parts];
  const others = parts.filter((part) => part.id !== id);
  return [...others.slice(0, first), chosen, ...others.slice(first)];
}
