import type { Material } from '#core/materials/material.ts';
import type { Page } from '#core/pages/page.ts';
import type { Site } from '#core/sites/site.ts';

/** What a maker changes, by what it is. */
export interface Rows {
  site: Site;
  page: Page;
  material: Material;
}
export type RowKind = keyof Rows;

/** A change that is on the screen and not yet on the server. */
export interface Pending {
  kind: RowKind;
  id: string;
  change: Record<string, unknown>;
  /** How the changed fields were before, so that the change can be joined with those of others. */
  was: Record<string, unknown>;
  /** Its maker was asked, since others changed the same: this one holds, or theirs, and this one is kept for an undo. */
  decided?: 'mine' | 'theirs';
  label: string;
  mergeKey: string;
  /** The revision the maker was looking at when the change began: what arrives later does not move it. */
  seen: number;
  /** Left behind by an earlier visit, of which perhaps only the answer was lost: what it meets there may be its own. */
  left?: boolean;
}
