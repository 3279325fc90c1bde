import { eq, max } from 'drizzle-orm';
import { entrancesOf } from '#core/access/entrances.ts';
import type { SiteView } from '#core/access/seen-by.ts';
import type { Draft } from '#core/content/site.ts';
import { picturesOn, type Picture } from '#site/render/page-input.ts';
import type { FileTree, Manifest } from '#core/release/manifest.ts';
import { narrowed } from '#core/release/narrowed.ts';
import { releasable } from '#core/release/released.ts';
import { releases, sites } from '../db/schema.ts';
import { Problem } from '../http/problem.ts';
import { type BoundedQueue } from '../media/bounded-queue.ts';
import {
  type Derivative,
  derivePicture,
  knownDerivatives,
  recipesFor,
  rememberDerivatives,
} from '../media/derive.ts';
import { materialsIn, pictureFiles, publishedPicture } from './published-pictures.ts';
import { loadDraft } from '../sites/load-draft.ts';
import { renderEntrance, type RenderDeps } from './render-entrance.ts';

export interface PublishDeps extends RenderDeps {
  decoding: BoundedQueue;
}

export type Progress = (step: string, done: number, total: number) => void;

/** Makes the missing picture files of these views and returns all of them by material. */
async function picturesOf(
  deps: PublishDeps,
  views: readonly SiteView[],
  progress: Progress,
  signal: AbortSignal,
): Promise<{ pictures: Record<string, Picture>; files: Map<string, Derivative[]> }> {
  const wanted = materialsIn(views).map((material) => ({ material, recipes: recipesFor(material) }));
  const known = await knownDerivatives(
    deps.db,
    wanted.flatMap(({ recipes }) => recipes.map(({ key }) => key)),
  );
  const files = new Map<string, Derivative[]>();
  const missing = wanted.filter(({ recipes }) => recipes.some(({ key }) => !known.has(key)));
  let done = 0;
  progress('Preparing pictures', 0, missing.length);
  await Promise.all(
    missing.map(({ material, recipes }) =>
      deps.decoding.run(async () => {
        signal.throwIfAborted();
        const made = await derivePicture(
          deps.blobs,
          material,
          recipes.filter(({ key }) => !known.has(key)),
          signal,
        );
        // Remembered one by one: after a stop or a crash the next publish goes on from here.
        await rememberDerivatives(deps.db, made);
        for (const file of made) known.set(file.key, file);
        progress('Preparing pictures', ++done, missing.length);
      }),
    ),
  );
  const pictures: Record<string, Picture> = {};
  for (const { material, recipes } of wanted) {
    const own = recipes.flatMap(({ key }) => known.get(key) ?? []);
    files.set(material.id, own);
    pictures[material.id] = publishedPicture(material, own);
  }
  return { pictures, files };
}

/** The files one entrance may fetch: its pages, their pictures and the shared assets. */
async function entranceTree(
  deps: PublishDeps,
  view: SiteView,
  pictures: Record<string, Picture>,
  files: ReadonlyMap<string, Derivative[]>,
  onPage: () => void,
): Promise<FileTree> {
  const shown = new Set(view.pages.flatMap(picturesOn));
  return {
    ...(await renderEntrance(deps, view, pictures, onPage)),
    ...pictureFiles([...shown].flatMap((id) => files.get(id) ?? [])),
    ...deps.assets.files,
  };
}

/**
 * Publishes a draft: filters it into what each entrance may see, makes what is missing, and switches readers over
 * in one transaction at the very end. Until then, and after a crash at any point, readers have the old release.
 *
 * @returns the number of the new release
 * @throws the signal's reason when it was cancelled
 */
export async function publish(
  deps: PublishDeps,
  draft: Draft,
  name: string,
  progress: Progress,
  signal: AbortSignal,
): Promise<number> {
  // What the maker lowered while pictures were being made must not be opened again by this release.
  for (let wanted = draft; ;) {
    const made = await attempt(deps, wanted, name, progress, signal);
    if (typeof made === 'number') return made;
    wanted = made;
  }
}

/** One try; returns the narrowed draft to try with when something was lowered meanwhile. */
async function attempt(
  deps: PublishDeps,
  draft: Draft,
  name: string,
  progress: Progress,
  signal: AbortSignal,
): Promise<number | Draft> {
  const source = releasable(draft);
  const entrances = entrancesOf(source);
  const views = [entrances.public, entrances.siteLink, ...Object.values(entrances.pageLinks)].filter(
    (view) => view !== null,
  );
  const { pictures, files } = await picturesOf(deps, views, progress, signal);

  const total = views.reduce((sum, view) => sum + view.pages.length, 0);
  let done = 0;
  const onPage = () => progress('Writing pages', ++done, total);
  const tree = async (view: SiteView | null) => {
    signal.throwIfAborted();
    return view && entranceTree(deps, view, pictures, files, onPage);
  };
  const manifest: Manifest = {
    public: await tree(entrances.public),
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
    const siteId = draft.site.id;
    const [site] = await tx.select().from(sites).where(eq(sites.id, siteId)).for('update');
    if (!site) throw new Problem(404, 'not-found', 'This site is not here any more.');
    const lower = narrowed(source, await loadDraft(tx, site));
    if (lower) return lower;
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
    return number;
  });
}
