import type { Id } from '../id.ts';

/** A moment as a reader gets it, in a process part. */
export interface SeenMoment {
  id: Id;
  /** The page it is kept on. */
  page: Id;
  /** As roughly as it is known; see `roughDateSchema`. */
  date: string;
  title: string;
  happened: string;
  decided: string;
  why: string;
  turnedDown: string;
  next: string;
  phase: Id | null;
  /** Time spent; null where readers are not told. */
  minutes: number | null;
  /** Whom it was done with; empty where readers are not told. */
  with: string;
  /** The first one stands in front. */
  materials: Id[];
  /** It has its address on the page here; the same moment may be drawn again by another part of it. */
  addressed: boolean;
}
