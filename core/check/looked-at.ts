import type { Warning } from '../gallery/picture-quality.ts';
import type { Id } from '../id.ts';

/** What is known of the pictures of a site by looking at them, which takes a while: of one that is not there yet nothing is said. */
export interface LookedAt {
  /** Those that show the same thing in the same way, as `lookAlikes` gives them. */
  groups: readonly (readonly Id[])[];
  /** As `pictureWarnings` gives them. */
  warnings: Readonly<Record<Id, readonly Warning[]>>;
}

export const nothingLookedAt: LookedAt = { groups: [], warnings: {} };
