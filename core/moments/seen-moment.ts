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
  /** What was decided led to this one, which is drawn on the same page. */
  ledTo: { id: Id; title: string; date: string } | null;
  /**
   * In a process: it has its address on the page here; another part of the page may draw it again. Elsewhere: it has one on the page.
   */
  addressed: boolean;
}
