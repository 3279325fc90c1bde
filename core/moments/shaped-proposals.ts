import type { Id } from '../id.ts';
import type { ProposedMoment } from './proposed-moments.ts';

/**
 * Proposals with those that their maker put together or took apart in the place of the ones they were made from. What was taken or
 * refused meanwhile is gone from both; the others stay as they were shaped.
 *
 * @param proposals as they are found now
 * @param shaped as the maker left them, of whatever was found before
 * @returns each material that is proposed now once, in time
 */
export function shapedProposals(
  proposals: readonly ProposedMoment[],
  shaped: readonly ProposedMoment[],
): ProposedMoment[] {
  const of = (one: ProposedMoment): Id[] => [...one.materials, ...one.alike];
  const found = new Set(proposals.flatMap(of));
  const kept = shaped.filter((one) => of(one).every((id) => found.has(id)));
  const covered = new Set(kept.flatMap(of));
  const others = proposals.flatMap((one): ProposedMoment[] => {
    const [materials, alike] = [one.materials, one.alike].map((ids) => ids.filter((id) => !covered.has(id)));
    const [key] = materials ?? [];
    return key === undefined ? [] : [{ ...one, key, materials: materials ?? [], alike: alike ?? [] }];
  });
  return [...kept, ...others].sort((a, b) => a.date.localeCompare(b.date) || (a.key < b.key ? -1 : 1));
}
