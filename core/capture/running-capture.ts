import type { Id } from '../id.ts';

/** What is kept within so many minutes of the thing before it belongs to the same moment. */
export const oneMomentMinutes = 20;

/** The last thing that was kept on a device: for which page, as part of which moment, and when (ms since 1970). */
export interface LastKept {
  page: Id;
  capture: Id;
  at: number;
}

/**
 * The moment that a new thing belongs to: the one that is being kept for its page, as long as no more than twenty minutes
 * have passed since its last thing.
 *
 * @param now ms since 1970; a clock that was put back since leaves the moment open
 * @returns null where a moment of its own begins
 */
export const runningCapture = (last: LastKept | null, page: Id, now: number): Id | null =>
  last && last.page === page && now - last.at <= oneMomentMinutes * 60_000 ? last.capture : null;
