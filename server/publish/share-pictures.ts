import { createHash } from 'node:crypto';
import type { SiteView } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import { sharePicture, sharePictureSize } from '#core/look/share-picture.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import type { FileTree, ManifestFile } from '#core/release/manifest.ts';
import { shareFolder } from '#core/release/share-folder.ts';
import { sharedCovers } from '#site/render/page-covers.ts';
import { pathsOf } from '#site/render/page-inputs.ts';
import type { SharedPicture } from '#site/render/medium.ts';
import type { Picture } from '#site/render/picture.ts';
import pLimit from 'p-limit';
import { decodingWidth } from '../media/decoding-width.ts';
import type { ShareInput } from '../media/draw-share.ts';
import type { Derivative } from '../media/derive.ts';
import { knownDerivatives, rememberDerivatives } from '../media/known-derivatives.ts';
import type { Reading } from '../reading/reading.ts';
import type { RenderDeps } from './render-entrance.ts';

/** Counts up when the same drawing would give other bytes. */
const version = 1;

/** A page as it is shown where a link to it is passed on: by a picture of its own, or of a work on it, or by its title alone. */
interface Share {
  file: Derivative;
  alt: string;
}
export type Shares = ReadonlyMap<string, Share>;

const nameOf = (page: Id, picture: Id | null): string => `${page} ${picture ?? ''}`;

interface MadeOf {
  pictures: Readonly<Record<string, Picture>>;
  /** Files of each picture, by its name. */
  files: ReadonlyMap<string, readonly Derivative[]>;
}

/** The JPEG of a picture that another one is drawn from: as large as there is. */
const largestJpeg = (files: readonly Derivative[] = []): Derivative | null =>
  files.filter(({ format }) => format === 'jpeg').sort((one, other) => other.widthPx - one.widthPx)[0] ??
  null;

/**
 * Makes what is missing of the share pictures of all pages of some views.
 *
 * @param views those whose links are passed on with pictures
 * @param by whose site it is
 */
export async function makeShares(
  deps: RenderDeps & { reading: Reading },
  views: readonly SiteView[],
  { pictures, files }: MadeOf,
  by: string,
  signal: AbortSignal,
): Promise<Shares> {
  const wanted = new Map<string, { key: string; alt: string; input: ShareInput }>();
  for (const view of views) {
    const { look, title: siteTitle, by: maker } = view.site;
    const { lettering } = deps.assets.fonts[fontsOf(look)];
    for (const { page, picture: id } of sharedCovers(view)) {
      const name = nameOf(page.id, id);
      if (wanted.has(name)) continue;
      const picture = pictures[id ?? ''];
      const jpeg = picture && largestJpeg(files.get(id ?? ''));
      const words = { title: page.title || siteTitle, by: maker || siteTitle };
      const drawing = sharePicture(words, look, jpeg ? picture : null, lettering);
      if (!drawing) continue;
      const input = { from: drawing.picture ? (jpeg?.hash ?? null) : null, drawing };
      const hash = createHash('sha256').update(JSON.stringify(input)).digest('hex');
      wanted.set(name, { key: `share ${version} ${hash} jpeg`, alt: picture?.alt || words.title, input });
    }
  }
  const known = await knownDerivatives(
    deps.db,
    [...wanted.values()].map(({ key }) => key),
  );
  const making = pLimit(decodingWidth());
  await Promise.all(
    [...wanted.values()].map(({ key, input }) =>
      making(async () => {
        if (known.has(key)) return;
        signal.throwIfAborted();
        const { width: widthPx, height: heightPx } = sharePictureSize;
        const made = await deps.reading.run('share', input, by);
        const file: Derivative = { key, format: 'jpeg', widthPx, heightPx, ...made };
        await rememberDerivatives(deps.db, [file]);
        known.set(key, file);
      }),
    ),
  );
  const shares = new Map<string, Share>();
  for (const [name, { key, alt }] of wanted) {
    const file = known.get(key);
    if (file) shares.set(name, { file, alt });
  }
  return shares;
}

/** Named by its own bytes, so that it says nothing of what it shows. */
const shareFileName = ({ hash }: Derivative): string => `${hash.slice(0, 32)}.jpg`;

/** Where share pictures of a site's secret links stand on this server: an address that holds no key. */
export const linkPicturesOf = (site: string): string => `/link-pictures/${site}/`;

/** What pages say of their share pictures, which stand below an address. */
export const sharesAt =
  (shares: Shares, below: string) =>
  (page: Id, picture: Id | null): SharedPicture | null => {
    const share = shares.get(nameOf(page, picture));
    return share ? { url: below + shareFileName(share.file), alt: share.alt } : null;
  };

/** The share pictures of one entrance, by path. */
export function shareFiles(view: SiteView, shares: Shares): FileTree {
  const tree: Record<string, ManifestFile> = {};
  const paths = pathsOf(view);
  for (const { page, picture } of sharedCovers(view)) {
    const share = shares.get(nameOf(page.id, picture));
    const path = paths.get(page.id);
    if (!share || path === undefined) continue;
    const name = shareFolder + shareFileName(share.file);
    const { hash, bytes } = share.file;
    // A page of a document is named below its document.
    const [material] = picture === null ? [] : picture.split(/[/:]/);
    tree[name] = {
      ...{ hash, bytes, type: 'image/jpeg', immutable: true },
      ...(material !== undefined && { of: [material] }),
      pages: [...(tree[name]?.pages ?? []), `${path}index.html`],
    };
  }
  return tree;
}
