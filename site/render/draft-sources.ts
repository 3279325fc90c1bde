import type { SeenMaterial } from '#core/access/seen-by.ts';
import type { DocumentContent } from '#core/materials/document.ts';
import { picturesOf, type ShownPicture } from '#core/gallery/picture-source.ts';
import type { MediaSources } from './medium.ts';
import { pictureOf } from './page-inputs.ts';
import type { Picture } from './picture.ts';

/** Where the studio's server has what a draft is drawn from, below its root and without a slash at the start. */
export interface DraftPaths {
  picture(shown: ShownPicture, size: 480 | 1400): string;
  file: MediaSources['file'];
}

/**
 * What a page of the draft is drawn from: previews for pictures, and the maker's own files for all else.
 *
 * @param contents what was read out of documents, by the hash of their files
 * @param root from the page's entrance to the root of the server
 * @param lights how light pictures are that words may lie over, by their names
 */
export function draftSources(
  materials: readonly SeenMaterial[],
  contents: ReadonlyMap<string, DocumentContent>,
  paths: DraftPaths,
  root: string,
  lights: ReadonlyMap<string, string> = new Map(),
): MediaSources {
  const pictures: Record<string, Picture> = {};
  for (const material of materials)
    for (const shown of picturesOf(material, contents.get(material.original)))
      pictures[shown.id] = {
        ...pictureOf(shown),
        ...(lights.has(shown.id) && { light: lights.get(shown.id) ?? '' }),
        moving: shown.moves ? root + paths.file(material, 'play') : null,
        sources: [],
        fallback: ([480, 1400] as const).map((size) => ({
          url: root + paths.picture(shown, size),
          widthPx: size,
        })),
      };
  return {
    pictures,
    content: (original) => contents.get(original),
    file: (material, as) => root + paths.file(material, as),
  };
}
