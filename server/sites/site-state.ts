import type { Patch } from '#contract/patch.ts';
import type { SiteState } from '#contract/site-state.ts';
import { withoutLongWords } from '#core/materials/long-words.ts';
import type { Executor } from '../db/connect.ts';
import type { EditResult } from '../db/edit.ts';
import { historyOf } from '../db/history.ts';
import { liveStatement } from './live-statement.ts';
import { ownSite, type SiteRow } from './load-draft.ts';
import { studioMemory } from './studio-memory.ts';

/** Everything the studio needs to show a site. */
export async function siteState(
  db: Executor,
  site: SiteRow,
  limits: { maxFileBytes: number; maxTotalBytes: number },
): Promise<SiteState> {
  const draft = await studioMemory(db).drafts.load(db, site);
  return {
    revision: site.revision,
    site: draft.site,
    pages: draft.pages,
    ...withoutLongWords(draft.materials),
    history: await historyOf(db, site.id),
    live: await liveStatement(db, site, draft),
    limits: { fileBytes: limits.maxFileBytes, totalBytes: limits.maxTotalBytes },
  };
}

/** What an edit changed, with the statements that depend on it. */
export async function patchAfter(
  db: Executor,
  scope: { site: string; account: string },
  result: EditResult,
): Promise<Patch> {
  const site = await ownSite(db, scope.account, scope.site);
  const draft = await studioMemory(db).drafts.load(db, site);
  const patch: Patch = {
    revision: site.revision,
    site: null,
    pages: {},
    materials: {},
    history: await historyOf(db, site.id),
    live: await liveStatement(db, site, draft),
  };
  for (const change of result.changes) {
    if (change.table === 'site') patch.site = change.after;
    else if (change.table === 'page') patch.pages[change.id] = change.after;
    else patch.materials[change.id] = change.after;
  }
  return patch;
}
