import { rulesOf } from '#core/parts/parts.ts';
import { isCovered } from '#core/access/covered.ts';
import type { SeenMaterial, SeenMaterialOf, SiteView } from '#core/access/seen-by.ts';
import type { DocumentContent } from '#core/materials/document.ts';
import type { ManifestFile } from '#core/release/manifest.ts';
import { isWebVtt } from '#core/words/web-vtt.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { Database } from '../db/connect.ts';
import { contentsOf } from '../documents/document-contents.ts';
import { knownDerivatives, rememberDerivatives } from '../media/known-derivatives.ts';
import type { Reading } from '../reading/reading.ts';
import { mediaType } from '../media/media-type.ts';
import { storeText } from './store-text.ts';

interface Deps {
  db: Database;
  blobs: BlobStore;
  reading: Reading;
  /** Whose files are made. */
  by: string;
}

const endings: Record<string, string> = { markdown: 'md', text: 'txt' };

const endingOf = (material: Exclude<SeenMaterial, { kind: 'picture' | 'link' }>): string =>
  endings[material.facts.format] ?? material.facts.format;

/** A file name that everybody's computer takes, from a title. */
const downloadName = (title: string, ending: string): string =>
  `${
    title
      .normalize('NFD')
      .replace(/[^\w\s.-]/g, '')
      .trim()
      .replace(/\s+/g, '-') || 'document'
  }.${ending}`;

const nameOf = (hash: string, ending: string): string => `files/${hash.slice(0, 20)}.${ending}`;

/** A published file: where it stands below the entrance, and the manifest's entry for it. */
export interface PublishedFile {
  path: string;
  file: ManifestFile;
}

/** What was read out of all documents of some views, by the hash of their files. */
export function contentsIn(
  deps: Pick<Deps, 'db' | 'blobs'>,
  materials: readonly SeenMaterial[],
): Promise<Map<string, DocumentContent>> {
  const originals = materials.flatMap((material) =>
    material.kind === 'document'
      ? [material.original, ...(material.shownBy ? [material.shownBy.original] : [])]
      : [],
  );
  return contentsOf(deps.db, deps.blobs, [...new Set(originals)]);
}

/** Takes a file that is made once of each original, from where it is remembered, or makes it. */
async function madeOnce(
  { db }: Deps,
  key: string,
  make: () => Promise<{ hash: string; bytes: number }>,
): Promise<{ hash: string; bytes: number }> {
  const [known] = (await knownDerivatives(db, [key])).values();
  if (known) return known;
  const made = await make();
  await rememberDerivatives(db, [{ ...made, key, widthPx: 0, heightPx: 0, format: 'webp' }]);
  return made;
}

/** A moving picture as readers get it when they ask for it: WebP, no wider than a column, without what it carried. */
async function movingFile(deps: Deps, original: string): Promise<PublishedFile> {
  const { hash, bytes } = await madeOnce(deps, `moving 1 ${original}`, () =>
    deps.reading.run('moving', { original }, deps.by),
  );
  return { path: nameOf(hash, 'webp'), file: { hash, type: 'image/webp', bytes, immutable: true } };
}

/** The recording as readers get it: without place, device and names. Made once for each original. */
async function playFile(
  deps: Deps,
  material: SeenMaterialOf<'sound'> | SeenMaterialOf<'clip'>,
): Promise<PublishedFile> {
  const { hash, bytes } = await madeOnce(deps, `play 1 ${material.original}`, () =>
    deps.reading.run('play', { original: material.original, format: material.facts.format }, deps.by),
  );
  return {
    path: nameOf(hash, endingOf(material)),
    file: { hash, type: mediaType(material.kind, material.facts.format), bytes, immutable: true },
  };
}

/** Every file beside pictures that some views may need: to play, to read along, to download. */
export interface MediaFiles {
  play: Map<string, PublishedFile>;
  captions: Map<string, PublishedFile>;
  download: Map<string, PublishedFile>;
}

/**
 * Makes what is missing of these files.
 *
 * @param moving ids of pictures that can be played
 */
export async function mediaFiles(
  deps: Deps,
  materials: readonly SeenMaterial[],
  moving: ReadonlySet<string>,
): Promise<MediaFiles> {
  const files: MediaFiles = { play: new Map(), captions: new Map(), download: new Map() };
  for (const material of materials) {
    if (material.kind === 'link') continue;
    if (material.kind === 'sound' || material.kind === 'clip') {
      files.play.set(material.id, await playFile(deps, material));
      if (isWebVtt(material.transcript)) {
        const file = await storeText(deps.blobs, Buffer.from(material.transcript), 'text/vtt; charset=utf-8');
        files.captions.set(material.id, {
          path: nameOf(file.hash, 'vtt'),
          file: { ...file, immutable: true },
        });
      }
    } else if (material.kind === 'picture') {
      if (moving.has(material.id)) files.play.set(material.id, await movingFile(deps, material.original));
    } else {
      const ending = endingOf(material);
      const { size } = await deps.blobs.sizeOf(material.original);
      files.download.set(material.id, {
        path: nameOf(material.original, ending),
        file: {
          hash: material.original,
          type: mediaType(material.kind, material.facts.format),
          bytes: size,
          immutable: true,
          download: downloadName(material.title, ending),
        },
      });
    }
  }
  return files;
}

/** The files one entrance may fetch: what its pages play, and what their parts offer for download. */
export function mediaTree(view: SiteView, files: MediaFiles): Record<string, ManifestFile> {
  const tree: Record<string, ManifestFile> = {};
  // Two materials may have the very same captions, or the same file.
  const add = (one: PublishedFile | undefined, id: string) => {
    if (one) tree[one.path] = { ...one.file, of: [...(tree[one.path]?.of ?? []), id] };
  };
  for (const { id } of Object.values(view.materials)) {
    add(files.play.get(id), id);
    add(files.captions.get(id), id);
  }
  for (const part of view.pages.flatMap((page) => page.parts)) {
    for (const id of rulesOf(part).downloads(part)) {
      const material = view.materials[id];
      if (material?.kind === 'document' && !isCovered(material)) add(files.download.get(id), id);
    }
  }
  return tree;
}
