import { openPages } from '../access/open-pages.ts';
import type { Viewer } from '../access/viewer.ts';
import type { Id } from '../id.ts';
import { rulesOfPage } from '../pages/page-kinds.ts';
import type { Draft } from '../sites/site.ts';

/** Pages that one kind of reader can open afterwards and could not before, and the other way round. */
export interface AccessChange {
  gains: Id[];
  loses: Id[];
}

/** Ids of the pages with an address that a viewer may open. */
const openTo = (draft: Draft | null, viewer: Viewer): Id[] =>
  (draft &&
    openPages(draft, viewer)
      ?.pages.filter((page) => rulesOfPage(page).opens)
      .map(({ id }) => id)) ??
  [];

/**
 * Who gains and who loses which pages when readers get one thing in the place of another, by the function that filters a release.
 *
 * @param had what readers have now; null: nothing
 * @returns for each viewer, in their order
 */
export const accessChanges = (had: Draft | null, next: Draft, viewers: readonly Viewer[]): AccessChange[] =>
  viewers.map((viewer) => {
    const [before, after] = [openTo(had, viewer), openTo(next, viewer)];
    const [was, is] = [new Set(before), new Set(after)];
    return { gains: after.filter((id) => !was.has(id)), loses: before.filter((id) => !is.has(id)) };
  });
