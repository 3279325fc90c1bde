import { eq } from 'drizzle-orm';
import type { RowChange } from '../db/edit.ts';
import { releases } from '../db/schema.ts';
import { heightLevel } from '#core/content/height.ts';
import { narrowed } from '#core/release/narrowed.ts';
import type { PublicSites } from '../serve/public-sites.ts';
import { loadDraft, ownSite } from '../sites/load-draft.ts';
import { publish, type PublishDeps } from './publish.ts';

/** True when an edit lowered a page or a part. */
export function lowersSomething(changes: readonly RowChange[]): boolean {
  return changes.some(({ table, before, after }) => {
    if (table !== 'page' || !before || !after || !('parts' in before) || !('parts' in after)) return false;
    if (heightLevel(after.height) < heightLevel(before.height)) return true;
    return after.parts.some((part) => {
      const was = before.parts.find(({ id }) => id === part.id);
      return was !== undefined && heightLevel(part.height) < heightLevel(was.height);
    });
  });
}

/**
 * Takes from readers what was lowered since the live release, and changes nothing else for them: a new release
 * made from the old one's content with the lower heights. Does nothing when nothing was lowered.
 */
export async function closeAtOnce(
  deps: PublishDeps & { open: PublicSites },
  scope: { site: string; account: string },
): Promise<void> {
  const { db, open } = deps;
  const site = await ownSite(db, scope.account, scope.site);
  if (site.liveRelease === null) return;
  const [release] = await db.select().from(releases).where(eq(releases.id, site.liveRelease));
  const lower = release && narrowed(release.source, await loadDraft(db, site));
  if (!lower) return;
  await publish(
    deps,
    lower,
    `Closed to some readers; otherwise as release ${release.number}`,
    () => {},
    new AbortController().signal,
  );
  await open.forget();
}
