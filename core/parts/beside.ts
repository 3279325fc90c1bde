import type { Id } from '../id.ts';

interface Standing {
  id: Id;
  beside?: { with: Id; share: number } | undefined;
}

/**
 * Which parts stand beside the one before them, with the share of the width that one gets; null for all others. Only two
 * stand beside each other, so a third that asks for it stands below. Where the part before is another one by now, because
 * something was moved, taken off or is not shown to this reader, the part stands alone, and beside it again when it is back.
 */
export function standingBeside(parts: readonly Standing[]): (number | null)[] {
  let taken = true;
  return parts.map(({ beside }, at) => {
    const fits = !taken && beside !== undefined && beside.with === parts[at - 1]?.id;
    taken = fits;
    return fits ? beside.share : null;
  });
}

/**
 * The parts with one put in another place. Two that stand beside each other and trade places stay beside each other, each
 * as wide as before.
 */
export function movedPart<T extends Standing>(parts: readonly T[], from: number, to: number): T[] {
  const part = parts[from];
  if (!part) return [...parts];
  const next = parts.filter((_, at) => at !== from);
  next.splice(to, 0, part);
  const second = Math.max(from, to);
  const share = standingBeside(parts)[second];
  const [left, right] = [parts[second - 1], parts[second]];
  if (Math.abs(from - to) !== 1 || typeof share !== 'number' || !left || !right) return next;
  const { beside: _, ...first } = right;
  const rest = Math.round((1 - share) * 1000) / 1000;
  next[second - 1] = first as T;
  next[second] = { ...left, beside: { with: right.id, share: rest } };
  return next;
}

/** Where the next part goes after one: two that stand beside each other are not parted. */
export const placeAfter = (parts: readonly Standing[], at: number): number =>
  typeof standingBeside(parts)[at + 1] === 'number' ? at + 2 : at + 1;

/** Shares of the width that two parts beside each other can have: they end on a quarter of the page. */
export const quarterShares = [0.25, 0.5, 0.75] as const;

/** The share nearest to one that somebody pulled to, or that is kept from before shares fell on quarters. */
export const quarterShare = (share: number): (typeof quarterShares)[number] =>
  share < 0.375 ? 0.25 : share < 0.625 ? 0.5 : 0.75;
