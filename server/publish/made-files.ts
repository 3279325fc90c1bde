import pLimit from 'p-limit';
import type { SeenMaterial, SiteView } from '#core/access/seen-by.ts';
import type { DocumentContent } from '#core/materials/document.ts';
import { picturesOf, type ShownPicture } from '#core/gallery/picture-source.ts';
import type { FileTree } from '#core/release/manifest.ts';
import { picturesUnderWords, sharedCovers } from '#site/render/page-covers.ts';
import type { MediaSources } from '#site/render/medium.ts';
import type { Picture } from '#site/render/picture.ts';
import { lightsOf } from '../media/picture-light.ts';
import { decodingWidth } from '../media/decoding-width.ts';
import { type Derivative, recipesFor } from '../media/derive.ts';
import { knownDerivatives, rememberDerivatives } from '../media/known-derivatives.ts';
import type { Reading } from '../reading/reading.ts';
import { contentsIn, mediaFiles, type MediaFiles, mediaTree } from './published-media.ts';
import { materialsIn, pictureFiles, publishedPicture } from './published-pictures.ts';
import { renderEntrance, type RenderDeps } from './render-entrance.ts';
import { makeShares, type Shares, sharesAt, shareFiles } from './share-pictures.ts';
import { assetsOfLook, drawsTime, type LookAssets } from './site-assets.ts';

export interface PublishDeps extends RenderDeps {
  reading: Reading;
}

export type Progress = (step: string, done: number, total: number) => void;

/** Everything some views are drawn from, ready to be fetched. */
export interface Made {
  pictures: Record<string, Picture>;
  /** Files of each picture, by its name. */
  files: Map<string, Derivative[]>;
  contents: Map<string, DocumentContent>;
  shownOf(material: SeenMaterial): ShownPicture[];
  media: MediaFiles;
  /** Pictures shown where links are passed on, of the views whose links have them. */
  shares: Shares;
  /** What the pages of a view link to: the same for all of them, but for the rules of a process. */
  assetsFor(view: SiteView): Promise<LookAssets>;
}

/**
 * Makes what is missing of pictures, recordings and captions of these views.
 *
 * @param shared those of them whose links are passed on with a picture
 */
export async function makeFiles(
  deps: PublishDeps,
  views: readonly SiteView[],
  shared: readonly SiteView[],
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
  const making = pLimit(decodingWidth());
  await Promise.all(
    missing.map(({ shown, recipes }) =>
      making(async () => {
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
  const over = new Set([
    ...views.flatMap((view) => [...picturesUnderWords(view)]),
    ...shared.flatMap((view) => sharedCovers(view).map(({ picture }) => picture ?? '')),
  ]);
  const lights = await lightsOf(
    deps,
    wanted.flatMap(({ shown }) => (over.has(shown.id) ? [shown] : [])),
    by,
  );
  for (const { shown, recipes } of wanted) {
    const own = recipes.flatMap(({ key }) => known.get(key) ?? []);
    files.set(shown.id, own);
    pictures[shown.id] = publishedPicture(
      shown,
      own,
      media.play.get(shown.id)?.path ?? null,
      lights.get(shown.id),
    );
  }
  // Compressing a sheet takes longer than a page: it is made once for all entrances that get the same.
  const sheets = new Map<boolean, Promise<LookAssets>>();
  const assetsFor = ({ site: { look, title }, pages }: SiteView): Promise<LookAssets> => {
    const withTime = drawsTime(pages);
    const assets = sheets.get(withTime) ?? assetsOfLook(deps.assets, { look, title, withTime }, deps.blobs);
    sheets.set(withTime, assets);
    return assets;
  };
  const shares = await makeShares(deps, shared, { pictures, files }, by, signal);
  return { pictures, files, contents, shownOf, media, shares, assetsFor };
}

/** Where an entrance stands on the web, if everybody may know, and its share pictures, if it has any; both end in a slash. */
export interface EntranceAddresses {
  base: string | null;
  sharesBelow: string | null;
}

/** The files one entrance may fetch: its pages with what their theme needs, and their pictures and recordings. */
export async function entranceTree(
  deps: PublishDeps,
  view: SiteView,
  { pictures, files, contents, shownOf, media, shares, assetsFor }: Made,
  { base, sharesBelow }: EntranceAddresses,
  onPage: () => void,
): Promise<FileTree> {
  const sources: MediaSources = {
    pictures,
    content: (original) => contents.get(original),
    file: ({ id }, as) => media[as].get(id)?.path ?? '',
    ...(sharesBelow !== null && { share: sharesAt(shares, sharesBelow) }),
  };
  return {
    ...(await renderEntrance(deps, view, await assetsFor(view), sources, base, onPage)),
    ...pictureFiles(
      Object.values(view.materials).map(
        (material) => [material.id, shownOf(material).flatMap(({ id }) => files.get(id) ?? [])] as const,
      ),
    ),
    ...mediaTree(view, media),
    ...(sharesBelow !== null && shareFiles(view, shares)),
  };
}
