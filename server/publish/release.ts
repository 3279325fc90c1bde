import { eq, max } from 'drizzle-orm';
import { entrancesOf } from '#core/access/entrances.ts';
import type { SiteView } from '#core/access/seen-by.ts';
import { tagsOf } from '#core/menu/tags-of.ts';
import type { Draft } from '#core/sites/site.ts';
import type { Ceilings } from '#core/release/ceilings.ts';
import type { Manifest } from '#core/release/manifest.ts';
import { shareFolder } from '#core/release/share-folder.ts';
import { narrowed, siteReach } from '#core/release/narrowed.ts';
import { releasable } from '#core/release/released.ts';
import { stored } from '#core/stored/stored-json.ts';
import { storedManifest } from '#core/stored/stored-kinds.ts';
import { ceilingsOf } from '../db/ceilings.ts';
import type { Transaction } from '../db/connect.ts';
import { tellAgainst } from '../db/release-manifest.ts';
import { keepSource } from '../db/release-source.ts';
import { releases, sites } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { renderFeed } from '#site/render/feed.ts';
import { feedPath } from '#site/render/site-paths.ts';
import { accountOf } from '../sites/site-rows.ts';
import { keepPaths } from './kept-paths.ts';
import { keepTimes, timesOf } from './page-times.ts';
import { linkPicturesOf } from './share-pictures.ts';
import { storeText } from './store-text.ts';
import {
  type EntranceAddresses,
  entranceTree,
  makeFiles,
  type Progress,
  type PublishDeps,
} from './made-files.ts';

/** What the transaction that switches readers over asks and does besides. */
interface Switching {
  /** What the release must not go beyond. */
  ceilings: (tx: Transaction) => Promise<Ceilings>;
  /** Whether it is still wanted; asked with the site's row held. */
  stillWanted?: (live: number | null) => boolean;
  switched?: (tx: Transaction) => Promise<void>;
}

/**
 * Makes a release of a copy and switches readers over to it.
 *
 * @param source a releasable copy
 * @returns its number; null when it was not wanted any more
 */
export async function release(
  deps: PublishDeps,
  source: Draft,
  name: string,
  running: { progress: Progress; signal: AbortSignal },
  switching: Switching,
): Promise<number | null> {
  for (let wanted = source; ;) {
    const made = await attempt(deps, wanted, name, running, switching);
    if (typeof made === 'number' || made === null) return made;
    wanted = made;
  }
}

/** One try; returns the lowered copy to try with when something was lowered meanwhile. */
async function attempt(
  deps: PublishDeps,
  source: Draft,
  name: string,
  { progress, signal }: { progress: Progress; signal: AbortSignal },
  { ceilings, stillWanted, switched }: Switching,
): Promise<number | null | Draft> {
  const entrances = entrancesOf(source);
  const views = [entrances.public, entrances.siteLink, ...Object.values(entrances.pageLinks)].filter(
    (view) => view !== null,
  );
  const { address, linkPictures, id: site } = source.site;
  // Links that strangers cannot have are passed on with a picture only where their maker wants it.
  const shared = views.filter((view) => view === entrances.public || linkPictures);
  // Files made for publishing count with those of the same maker's uploads.
  const maker = await accountOf(deps.db, site);
  const made = await makeFiles(deps, views, shared, maker, progress, signal);

  const total = views.reduce(
    (sum, view) => sum + view.pages.length + tagsOf(view).length + (view.site.contact === 'form' ? 1 : 0),
    0,
  );
  let done = 0;
  const onPage = () => progress('Writing pages', ++done, total);
  const tree = async (view: SiteView | null, addresses: EntranceAddresses) => {
    signal.throwIfAborted();
    return view && entranceTree(deps, view, made, addresses, onPage);
  };
  // An address may change; then the one written here leads on to the new one. A key never stands in a page: share pictures
  // of secret links have an address of their own.
  const base = address === null ? null : `${deps.publicOrigin}/${address}/`;
  const bySecret: EntranceAddresses = {
    base: null,
    sharesBelow: linkPictures ? `${deps.publicOrigin}${linkPicturesOf(site)}` : null,
  };
  const manifest: Manifest = {
    public: await tree(entrances.public, { base, sharesBelow: base && base + shareFolder }),
    siteLink: await tree(entrances.siteLink, bySecret),
    pageLinks: {},
  };
  const now = new Date();
  const times =
    entrances.public && base !== null ? await timesOf(deps.db, source.site.id, entrances.public, now) : null;
  if (manifest.public && entrances.public && base !== null && times) {
    const text = renderFeed(entrances.public, source.site.id, base, times);
    const type = 'application/atom+xml; charset=utf-8';
    manifest.public[feedPath] = await storeText(deps.blobs, Buffer.from(text), type);
  }
  for (const [page, view] of Object.entries(entrances.pageLinks)) {
    const built = await tree(view, bySecret);
    if (built) manifest.pageLinks[page] = built;
  }
  signal.throwIfAborted();
  progress('Switching readers over', total, total);
  return deps.db.transaction(async (tx) => {
    const siteId = source.site.id;
    const [site] = await tx.select().from(sites).where(eq(sites.id, siteId)).for('update');
    if (!site) throw new Problem(404, 'not-found', 'This site is not here any more.');
    if (stillWanted && !stillWanted(site.liveRelease)) return null;
    const most = await ceilings(tx);
    const reach = siteReach(source, most);
    const lower = narrowed(source, most);
    if (lower || reach !== source.site.height)
      return releasable({ ...(lower ?? source), site: { ...source.site, height: reach } });
    const [last] = await tx
      .select({ number: max(releases.number) })
      .from(releases)
      .where(eq(releases.siteId, siteId));
    const number = (last?.number ?? 0) + 1;
    const [made] = await tx
      .insert(releases)
      .values({
        siteId,
        number,
        name,
        source: await keepSource(tx, source),
        manifest: stored(storedManifest, manifest),
      })
      .returning({ id: releases.id });
    if (!made) throw new Error('The release was not written.');
    await keepPaths(tx, siteId, site.liveRelease, entrances);
    if (times) await keepTimes(tx, siteId, times);
    await tellAgainst(tx, siteId, made.id, manifest);
    await tx.update(sites).set({ liveRelease: made.id }).where(eq(sites.id, siteId));
    await switched?.(tx);
    return number;
  });
}

/** What a release must not go beyond, but for the site's own ceiling: that is asked at the door and leaves it as it is. */
export async function ceilingsInside(tx: Transaction, site: string): Promise<Ceilings> {
  return new Map([...(await ceilingsOf(tx, site))].filter(([thing]) => thing !== site));
}
