import equal from 'fast-deep-equal';
import { z } from 'zod';
import { idSchema, type Id } from '../id.ts';
import { mostMoments, mostParts, type Part, partSchema } from './parts.ts';

/** Twice what a page holds: before and after. */
const most = 2 * (mostParts + mostMoments);
const someParts = z.array(partSchema).max(most);
const order = z.array(idSchema).max(most).nullable();

/**
 * What was done to the parts of a page, told by itself: it can be laid over a page that somebody else has changed
 * meanwhile, and only what changed is sent.
 */
export const partsChangeSchema = z.object({
  /** Parts that are new or changed. */
  set: someParts,
  /** All ids in their order; null when none came, went or moved. */
  order,
  /** How it was before: the changed and removed parts, and the order if that changed. */
  was: z.object({ parts: someParts, order }),
});
export type PartsChange = z.infer<typeof partsChangeSchema>;

const idsOf = (parts: readonly Part[]): Id[] => parts.map(({ id }) => id);
const byId = (parts: readonly Part[]): Map<Id, Part> => new Map(parts.map((part) => [part.id, part]));

/** What leads from one list of parts to another. */
export function partsChange(was: readonly Part[], now: readonly Part[]): PartsChange {
  const before = byId(was);
  const set = now.filter((part) => !equal(before.get(part.id), part));
  const kept = new Set(idsOf(now));
  const touched = new Set(idsOf(set));
  const moved = !equal(idsOf(was), idsOf(now));
  return {
    set,
    order: moved ? idsOf(now) : null,
    was: {
      parts: was.filter(({ id }) => touched.has(id) || !kept.has(id)),
      order: moved ? idsOf(was) : null,
    },
  };
}

/** Puts an id after the nearest of those that stood before it and are in the list; at the beginning if none is. */
function insertNear(list: Id[], id: Id, model: readonly Id[]): void {
  const before = model.slice(0, model.indexOf(id)).findLast((one) => list.includes(one));
  list.splice(before === undefined ? 0 : list.indexOf(before) + 1, 0, id);
}

/** The order after both have moved, added and removed. Who moved something decides; the other's additions are put in. */
function joinedOrder(was: readonly Id[], mine: readonly Id[], theirs: readonly Id[], there: Set<Id>): Id[] {
  const common = (list: readonly Id[], other: readonly Id[]) => list.filter((id) => other.includes(id));
  const iMoved = !equal(common(was, mine), common(mine, was));
  const [first, second] = iMoved ? [mine, theirs] : [theirs, mine];
  const list = first.filter((id) => there.has(id));
  for (const id of second) if (there.has(id) && !list.includes(id)) insertNear(list, id, second);
  return list;
}

/**
 * Lays a change over the parts as they are now, whoever changed them since. What one of the two typed wins over the other's
 * taking it off.
 *
 * @returns the parts with the change in them, and the ids of parts that both have changed to something else: in those the
 *   given change stands
 */
export function withPartsChange(
  current: readonly Part[],
  change: PartsChange,
): { parts: Part[]; conflicts: Id[] } {
  const was = byId(change.was.parts);
  const parts = byId(current);
  const conflicts: Id[] = [];
  for (const part of change.set) {
    const theirs = parts.get(part.id);
    if (theirs && !equal(theirs, was.get(part.id)) && !equal(theirs, part)) conflicts.push(part.id);
    parts.set(part.id, part);
  }
  const theirs = idsOf(current);
  const wasOrder = change.was.order ?? change.order ?? theirs;
  const mine = change.order ?? wasOrder;
  // Taken off here, unless it was changed there meanwhile.
  for (const id of wasOrder)
    if (change.order && !mine.includes(id) && equal(parts.get(id), was.get(id))) parts.delete(id);
  const there = new Set(parts.keys());
  const list = change.order ? joinedOrder(wasOrder, mine, theirs, there) : [...theirs];
  // Typed in here and taken off there: it is back, at the end where no better place is known.
  for (const id of there) if (!list.includes(id)) list.push(id);
  return { parts: list.flatMap((id) => parts.get(id) ?? []), conflicts };
}
