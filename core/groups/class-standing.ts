import { type HandInState, handInState } from '../hand-ins/hand-in-state.ts';
import type { Progress } from '../check/lists/progress.ts';

/** What a class page knows of one who joined. */
export interface JoinedClass {
  handedAt: Date | null;
  /** Its sharing with the class was ended, by whoever leads it. */
  ended: boolean;
  /** How many pages its link opens now. */
  pages: number;
  /** How far they say they are with the class's list; null where there is none, or they have said nothing. */
  progress: Progress | null;
}

/** How one who joined stands: one word for the row, and whether all that was asked is there. */
export interface ClassStanding {
  state: HandInState | 'ended';
  /** Handed in, opens something, and every essential is ticked. */
  complete: boolean;
}

/** @param dueAt of the class, whatever its makers wrote down for themselves */
export function classStanding(one: JoinedClass, dueAt: Date | null, now: Date): ClassStanding {
  if (one.ended) return { state: 'ended', complete: false };
  const { progress } = one;
  const listed = progress === null || progress.essentials.done === progress.essentials.of;
  return {
    state: handInState({ dueAt, handedAt: one.handedAt }, now),
    complete: one.handedAt !== null && one.pages > 0 && listed,
  };
}
