import type { Id } from '../id.ts';

/** A line of an entry, as high as it stands on paper; all heights in one unit, whichever that is. */
export interface FitLine {
  id: Id;
  height: number;
  /** What is lost where it is left out; null: it stays. */
  loss: number | null;
}

export interface FitEntry {
  id: Id;
  /** Height of what stands over its lines: title, place, dates. */
  head: number;
  /** Above it, where it does not begin a page. */
  gap: number;
  lines: readonly FitLine[];
  /** What is lost where it is left out with all its lines; null: it stays. */
  loss: number | null;
}

export interface FitSection {
  id: Id;
  /** Height of its heading, which is there as soon as one of its entries is, and on the same page as the first. */
  heading: number;
  /** Above the heading, where it does not begin a page. */
  gap: number;
  entries: readonly FitEntry[];
}

export interface Paper {
  height: number;
  pages: number;
}

/** What is lost by where pages end. */
export interface BreakLosses {
  /** An entry goes on upon the next page. */
  split: number;
  /** Of a split entry a single line stands alone at the foot or the head of a page. */
  orphan: number;
}
