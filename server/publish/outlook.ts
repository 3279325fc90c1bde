import type { Outlook } from '#contract/publishing.ts';
import type { Viewer } from '#core/access/viewer.ts';
import { publishNeeds } from '#core/check/publish-needs.ts';
import type { Id } from '#core/id.ts';
import { passViewer } from '#core/passes/pass-viewer.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { accessChanges } from '#core/release/access-changes.ts';
import { differences } from '#core/release/differences.ts';
import { releasable } from '#core/release/released.ts';
import { withStaying } from '#core/release/staying.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Database } from '../db/connect.ts';
import type { Insides } from '../inside/insides.ts';
import { answersByAddress } from '../links/link-answer-rows.ts';
import { passRows } from '../passes/pass-rows.ts';
import { hadNow } from '../sites/had-now.ts';
import type { SiteRow } from '../sites/load-draft.ts';

/** What publishing a draft now would come to: which readers could open more or less, and what is Needed on the pages that go. */
export async function outlook(
  { db, insides }: { db: Database; insides: Insides },
  site: SiteRow,
  draft: Draft,
  staying: readonly Id[],
  now: Date,
): Promise<Outlook> {
  const today = now.toISOString().slice(0, 10);
  const had = (await hadNow(db, site))?.now ?? null;
  const stays = new Set(staying);
  const next = withStaying(had, draft, stays);
  const passes = (await passRows(db, site.id)).filter(({ on }) => on);
  const readers: { reader: Outlook['readers'][number]['reader']; viewer: Viewer }[] = [
    { reader: 'stranger', viewer: { kind: 'stranger' } },
    { reader: 'link', viewer: { kind: 'site-link' } },
    ...passes.map((pass) => ({ reader: { pass: pass.label }, viewer: passViewer(pass) })),
  ];
  const titles = new Map([...(had?.pages ?? []), ...next.pages].map((page) => [page.id, pageName(page)]));
  const named = (ids: readonly Id[]) => ids.map((id) => titles.get(id) ?? '');
  const changes = accessChanges(
    had,
    releasable(next),
    readers.map(({ viewer }) => viewer),
  );
  const changed = new Set(differences(had, next).map(({ page }) => page));
  return {
    readers: readers.flatMap(({ reader }, at) => {
      const { gains = [], loses = [] } = changes[at] ?? {};
      return gains.length + loses.length > 0 ? [{ reader, gains: named(gains), loses: named(loses) }] : [];
    }),
    // What readers have already was asked about when it went to them.
    needed: publishNeeds(
      next,
      (page) => changed.has(page),
      today,
      (await insides.known(next, [], today)).inside,
      await answersByAddress(db, next.site.id),
    ),
  };
}
