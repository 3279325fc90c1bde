import type { Id } from '../id.ts';
import type { BlackOut } from '../materials/fixes.ts';

/** Needed: readers would miss it, or its maker would not like them to find it. Nice: better, but nothing waits for it. */
export type Weight = 'needed' | 'nice';

/** Where on a page something was noticed. */
export interface Spot {
  /** A part, or what stands above all of them; null: the page itself. */
  part: Id | 'opening' | null;
  material: Id | null;
}

/** What a rule noticed. */
export interface Noticed extends Spot {
  weight: Weight;
  /** What it is, in one sentence. */
  says: string;
  /** Why it matters and what to do, in one sentence. */
  why: string;
  /** It is asked once on the whole site, and known again by this wherever it stands. */
  askedOnce?: string;
  /** What on its material has to be black so that nothing of it is seen. */
  blackOut?: readonly BlackOut[];
  /** An address elsewhere it speaks of, to which words or the like on its part lead. */
  leadsTo?: string;
  /** Where that has moved for good. */
  movedTo?: string;
  /** What it speaks of, as it stands now: what was said about the finding counts as long as this stays the same. */
  of: string;
}
