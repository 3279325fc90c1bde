import { and, eq, max } from 'drizzle-orm';
import type { Id } from '#core/content/id.ts';
import { entrancesOf } from '#core/access/entrances.ts';
import type { SeenMaterial, SiteView } from '#core/access/seen-by.ts';
import type { DocumentContent } from '#core/content/document.ts';
import { picturesOf, type ShownPicture } from '#core/gallery/picture-source.ts';
import type { Draft } from '#core/content/site.ts';
import type { MediaSources } from '#site/render/medium.ts';
import type { Picture } from '#site/render/page-input.ts';
import type { FileTree, Manifest } from '#core/release/manifest.ts';
import type { Ceilings } from '#core/release/ceilings.ts';
import { narrowed, siteReach } from '#core/release/narrowed.ts';
import { releasable } from '#core/release/released.ts';
import { shortened } from '#core/words/shortened.ts';
import { ceilingsOf, ceilingsSince, raiseToPublished } from '../db/ceilings.ts';
import type { Transaction } from '../db/connect.ts';
import { releases, sites } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { BoundedQueue, decodingWidth } from '../media/bounded-queue.ts';
import type { Reading } from '../reading/reading.ts';
import { type Derivative, knownDerivatives, recipesFor, rememberDerivatives } from '../media/derive.ts';
import { contentsIn, mediaFiles, type MediaFiles, mediaTree } from './published-media.ts';
import { materialsIn, pictureFiles, publishedPicture } from './published-pictures.ts';
import { renderEntrance, type RenderDeps } from './render-entrance.ts';

export interface PublishDeps extends RenderDeps {
  reading: Reading;
}

export type Progress = (step: string, done: number, total: number) => void;

/** Everything some views are drawn from, ready to be fetched. */
interface Made {
  pictures: Record<string, Picture>;
  /** Files of each picture, by its name. */
  files: Map<string, Derivative[]>;
  contents: Map<string, DocumentContent>;
  shownOf(material: SeenMaterial): ShownPicture[];
  media: MediaFiles;
}

/** Makes what is missing of pictures, recordings and captions of these views. */
async function makeFiles(
  deps: PublishDeps,
  views: readonly SiteView[],
  by: string,
  progress: Progress,
  signal: AbortSignal,
): Promise<Made> {
  const materials = materialsIn(views);
  const contents = await contentsIn(deps, materials);
  const shownOf = (material: SeenMaterial) => picturesOf(material, contents.get(material.original));
  const wanted = materials.flatMap(shownOf).map((shown) => ({ shown, recipes: recipesFor(shown.source) }));
  const known = await knownDerivatives(
    deps.db,
    wanted.flatMap(({ recipes }) => recipes.map(({ key }) => key)),
  );
  const files = new Map<string, Derivative[]>();
  const missing = wanted.filter(({ recipes }) => recipes.some(({ key }) => !known.has(key)));
  let done = 0;
  progress('Preparing pictures', 0, missing.length);
  // A publish that is stopped has nothing waiting that still would be made.
  const making = new BoundedQueue(decodingWidth());
  await Promise.all(
    missing.map(({ shown, recipes }) =>
      making.run(async () => {
        signal.throwIfAborted();
        const made = await deps.reading.run(
          'derive',
          { source: shown.source, recipes: recipes.filter(({ key }) => !known.has(key)) },
          by,
        );
        // Remembered one by one: after a stop or a crash the next publish goes on from here.
        await rememberDerivatives(deps.db, made);
        for (const file of made) known.set(file.key, file);
        progress('Preparing pictures', ++done, missing.length);
      }),
    ),
  );
  const pictures: Record<string, Picture> = {};
  signal.throwIfAborted();
  const moving = new Set(wanted.filter(({ shown }) => shown.moves).map(({ shown }) => shown.id));
  const media = await mediaFiles({ ...deps, by }, materials, moving);
  for (const { shown, recipes } of wanted) {
    const own = recipes.flatMap(({ key }) => known.get(key) ?? []);
    files.set(shown.id, own);
    pictures[shown.id] = publishedPicture(shown, own, media.play.get(shown.id)?.path ?? null);
  }
  return { pictures, files, contents, shownOf, media };
}

/** The files one entrance may fetch: its pages, their pictures and the shared assets. */
async function entranceTree(
  deps: PublishDeps,
  view: SiteView,
  { pictures, files, contents, shownOf, media }: Made,
  base: string | null,
  onPage: () => void,
): Promise<FileTree> {
  const sources: MediaSources = {
    pictures,
    content: (original) => contents.get(original),
    file: ({ id }, as) => media[as].get(id)?.path ?? '',
  };
  return {
    ...(await renderEntrance(deps, view, sources, base, onPage)),
    ...pictureFiles(
      Object.values(view.materials).map(
        (material) => [material.id, shownOf(material).flatMap(({ id }) => files.get(id) ?? [])] as const,
      ),
    ),
    ...mediaTree(view, media),
    ...deps.assets.files,
  };
}

/** A draft as it was at one revision of its site. */
export interface DraftAt {
  draft: Draft;
  revision: number;
}

/** The draft without pages that their maker does not want to show yet. They stay as they are in the draft itself. */
const without = (draft: Draft, notYet: ReadonlySet<Id>): Draft =>
  notYet.size === 0
    ? draft
    : {
        ...draft,
        pages: draft.pages.map((page) => (notYet.has(page.id) ? { ...page, height: 'private' } : page)),
      };

/**
 * Publishes a draft: filters it into what each entrance may see, makes what is missing, and switches readers over
 * in one transaction at the very end. Until then, and after a crash at any point, readers have the old release. What was
 * lowered while it ran is not opened by it.
 *
 * @param notYet pages that no reader has had, and that are to stay so
 * @returns the number of the new release
 * @throws the signal's reason when it was cancelled
 */
export async function publish(
  deps: PublishDeps,
  { draft, revision }: DraftAt,
  name: string,
  progress: Progress,
  signal: AbortSignal,
  notYet: ReadonlySet<Id> = new Set(),
): Promise<number> {
  const wanted = without(draft, notYet);
  const number = await release(
    deps,
    releasable(wanted),
    name,
    { progress, signal },
    {
      ceilings: (tx) => ceilingsSince(tx, draft.site.id, revision),
      switched: (tx) => raiseToPublished(tx, draft.site.id, wanted, revision),
    },
  );
  return number ?? 0;
}

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

/** Whose site it is: files made for publishing count with those of the same maker's uploads. */
async function makerOfSite({ db }: PublishDeps, site: string): Promise<string> {
  const [row] = await db.select({ account: sites.accountId }).from(sites).where(eq(sites.id, site));
  return row?.account ?? site;
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
  const made = await makeFiles(deps, views, await makerOfSite(deps, source.site.id), progress, signal);

  const total = views.reduce((sum, view) => sum + view.pages.length, 0);
  let done = 0;
  const onPage = () => progress('Writing pages', ++done, total);
  const tree = async (view: SiteView | null, base: string | null = null) => {
    signal.throwIfAborted();
    return view && entranceTree(deps, view, made, base, onPage);
  };
  // An address may change; then the one written here leads on to the new one. A key never stands in a page.
  const { address } = source.site;
  const base = address === null ? null : `${deps.publicOrigin}/${address}/`;
  const manifest: Manifest = {
    public: await tree(entrances.public, base),
    siteLink: await tree(entrances.siteLink),
    pageLinks: {},
  };
  for (const [page, view] of Object.entries(entrances.pageLinks)) {
    const built = await tree(view);
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
      .values({ siteId, number, name, source, manifest })
      .returning({ id: releases.id });
    await tx
      .update(sites)
      .set({ liveRelease: made?.id ?? null })
      .where(eq(sites.id, siteId));
    await switched?.(tx);
    return number;
  });
}

/**
 * Brings back a release: readers have it again, but nothing of it that was closed since, wherever it stands in it and
 * whatever became of it. It is narrowed before it is switched to, and never after.
 *
 * @param id of the release
 */
export async function bringBack(deps: PublishDeps, site: string, id: number): Promise<void> {
  const [wanted] = await deps.db
    .select()
    .from(releases)
    .where(and(eq(releases.id, id), eq(releases.siteId, site)));
  if (!wanted) throw new Problem(404, 'not-found', 'This release is not here any more.');
  const source = await deps.db.transaction(async (tx) => {
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, site)).for('update');
    const lower = narrowed(wanted.source, await ceilingsOf(tx, site));
    if (!lower) await tx.update(sites).set({ liveRelease: id }).where(eq(sites.id, site));
    return lower;
  });
  if (source)
    await release(
      deps,
      releasable(source),
      shortened(`Release ${wanted.number} again, without what was closed since`, 120),
      { progress: () => {}, signal: new AbortController().signal },
      { ceilings: async (tx) => withoutSite(await ceilingsOf(tx, site), site) },
    );
}

/**
 * Makes a release of the live one's own content without what was closed since, so that readers have again what had to be
 * shut along with it. Nothing else of the draft reaches readers that way, and nothing is opened: what was closed is
 * closed already.
 */
export async function tidy(deps: PublishDeps, site: string): Promise<boolean> {
  const [live] = await deps.db
    .select({ id: releases.id, number: releases.number, source: releases.source })
    .from(sites)
    .innerJoin(releases, eq(releases.id, sites.liveRelease))
    .where(eq(sites.id, site));
  if (!live) return false;
  const lower = narrowed(live.source, await ceilingsOf(deps.db, site));
  if (!lower) return false;
  await release(
    deps,
    releasable(lower),
    `Closed to some readers; otherwise as release ${live.number}`,
    { progress: () => {}, signal: new AbortController().signal },
    {
      ceilings: async (tx) => withoutSite(await ceilingsOf(tx, site), site),
      stillWanted: (now) => now === live.id,
    },
  );
  return true;
}

/** The site's own ceiling is asked at the door and leaves a release as it is. */
const withoutSite = (all: Ceilings, site: string): Ceilings =>
  new Map([...all].filter(([thing]) => thing !== site));
