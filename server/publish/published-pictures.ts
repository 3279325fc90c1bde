import type { Id } from '#core/id.ts';
import type { SeenMaterial } from '#core/access/seen-by.ts';
import type { ShownPicture } from '#core/gallery/picture-source.ts';
import type { ManifestFile } from '#core/release/manifest.ts';
import { pictureOf } from '#site/render/page-inputs.ts';
import type { Picture } from '#site/render/picture.ts';
import type { Derivative, PublishedFormat } from '../media/derive.ts';

const endings: Record<PublishedFormat, string> = { avif: 'avif', webp: 'webp', jpeg: 'jpg' };

/** Name of a published picture's file: by its own bytes, so it says nothing about the original. */
const pictureFileName = (file: Derivative): string =>
  `files/${file.hash.slice(0, 20)}.${endings[file.format]}`;

/** A picture for the page, from the files made of it. */
export function publishedPicture(
  shown: ShownPicture,
  files: readonly Derivative[],
  moving: string | null,
  light: string | undefined,
): Picture {
  const of = (format: PublishedFormat) =>
    files
      .filter((file) => file.format === format)
      .sort((a, b) => a.widthPx - b.widthPx)
      .map((file) => ({ url: pictureFileName(file), widthPx: file.widthPx }));
  return {
    ...pictureOf(shown),
    ...(light !== undefined && { light }),
    moving,
    sources: [
      { type: 'image/avif', files: of('avif') },
      { type: 'image/webp', files: of('webp') },
    ],
    fallback: of('jpeg'),
  };
}

/**
 * The manifest's entries for pictures.
 *
 * @param files those of each material, by its id
 */
export function pictureFiles(
  files: Iterable<readonly [Id, readonly Derivative[]]>,
): Record<string, ManifestFile> {
  const entries: Record<string, ManifestFile> = {};
  for (const [material, made] of files)
    for (const file of made) {
      const name = pictureFileName(file);
      entries[name] = {
        hash: file.hash,
        type: `image/${file.format}`,
        bytes: file.bytes,
        immutable: true,
        of: [...new Set([...(entries[name]?.of ?? []), material])],
      };
    }
  return entries;
}

/** Every material of the given views, once. */
export function materialsIn(views: readonly { materials: Record<Id, SeenMaterial> }[]): SeenMaterial[] {
  const all = new Map<Id, SeenMaterial>();
  for (const view of views)
    for (const material of Object.values(view.materials)) all.set(material.id, material);
  return [...all.values()];
}
