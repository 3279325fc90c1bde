import { compareRoughDates } from '../dates/rough-date.ts';
import type { Id } from '../id.ts';
import { isMoment, momentsOf } from '../moments/moments-of.ts';
import { newMoment } from '../moments/new-moment.ts';
import { type Moment, mostInMoment } from '../parts/moment.ts';
import type { Part } from '../parts/parts.ts';
import type { Captured } from './captured.ts';

/** So many characters a field of a moment holds. */
const mostInField = 4000;

/** A moment with a thing in it; null where it does not fit in. */
function withThing(moment: Moment, what: Captured['what']): Moment | null {
  if (what.kind === 'material') {
    if (moment.materials.includes(what.material)) return moment;
    return moment.materials.length < mostInMoment
      ? { ...moment, materials: [...moment.materials, what.material] }
      : null;
  }
  const all = [moment[what.as], what.words].filter((words) => words !== '').join('\n\n');
  return all.length <= mostInField ? { ...moment, [what.as]: all } : null;
}

/** The phase that the work is in: that of the latest moment that says one. */
function runningPhase(parts: readonly Part[]): Id | null {
  const [latest] = momentsOf(parts)
    .filter(({ phase }) => phase !== null)
    .sort((a, b) => compareRoughDates(b.date, a.date));
  return latest?.phase ?? null;
}

/**
 * The parts of a page with a captured thing: in the moment that its capture has become, or in a new one of its day, in the phase
 * the work is in. What does not fit into a moment begins another one, so that nothing is left behind.
 *
 * @param into the moment that things of the same capture were put into; null for the first of them
 * @param freshId of the moment, where a new one begins
 * @returns the parts, and the id of the moment that holds the thing
 */
export function withCaptured(
  parts: readonly Part[],
  { day, what }: Pick<Captured, 'day' | 'what'>,
  { into, freshId }: { into: Id | null; freshId: Id },
): { parts: Part[]; moment: Id } {
  const there = parts.filter(isMoment).find(({ id }) => id === into);
  const joined = there && withThing(there, what);
  if (joined) return { parts: parts.map((part) => (part === there ? joined : part)), moment: joined.id };
  const begun = newMoment(freshId, { date: day, phase: runningPhase(parts) });
  return { parts: [...parts, withThing(begun, what) ?? begun], moment: freshId };
}
