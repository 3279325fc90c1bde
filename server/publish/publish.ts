import { eq, max } from 'drizzle-orm';
import { entrancesOf } from '#core/access/entrances.ts';
import type { SeenMaterial, SiteView } from '#core/access/seen-by.ts';
import type { DocumentContent } from '#core/content/document.ts';
import { picturesOf, type ShownPicture } from '#core/gallery/picture-source.ts';
import type { Draft } from '#core/content/site.ts';
import type { MediaSources } from '#site/render/medium.ts';
import type { Picture } from '#site/render/page-input.ts';
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
import { contentsIn, mediaFiles, type MediaFiles, mediaTree } from './published-media.ts';
import { materialsIn, pictureFiles, publishedPicture } from './published-pictures.ts';
import { loadDraft } from '../sites/load-draft.ts';
import { renderEntrance, type RenderDeps } from './render-entrance.ts';

export interface PublishDeps extends RenderDeps {
  decoding: BoundedQueue;
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
  await Promise.all(
    missing.map(({ shown, recipes }) =>
      deps.decoding.run(async () => {
        signal.throwIfAborted();
        const made = await derivePicture(
          deps.blobs,
          shown.source,
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
  signal.throwIfAborted();
  const moving = new Set(wanted.filter(({ shown }) => shown.moves).map(({ shown }) => shown.id));
  const media = await mediaFiles(deps, materials, moving);
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
  const shown = Object.values(view.materials).flatMap(shownOf);
  const sources: MediaSources = {
    pictures,
    content: (original) => contents.get(original),
    file: ({ id }, as) => media[as].get(id)?.path ?? '',
  };
  return {
    ...(await renderEntrance(deps, view, sources, base, onPage)),
    ...pictureFiles(shown.flatMap(({ id }) => files.get(id) ?? [])),
    ...mediaTree(view, media),
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
  const made = await makeFiles(deps, views, progress, signal);

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
    const [release] = await tx
      .insert(releases)
      .values({ siteId, number, name, source, manifest })
      .returning({ id: releases.id });
    await tx
      .update(sites)
      .set({ liveRelease: release?.id ?? null })
      .where(eq(sites.id, siteId));
    return number;
  });
}
