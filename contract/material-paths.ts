import { burntIn, type Fixes } from '#core/materials/fixes.ts';
import { fixesOntoPage, type ShownPicture } from '#core/gallery/picture-source.ts';

export const previewSizes = [480, 1400] as const;
/** Longest side, in pixels, of a picture shown in the studio. */
export type PreviewSize = (typeof previewSizes)[number];

/**
 * Path of a material's picture in the studio, without the slash at its start. The fixes are part of the path: another
 * crop is another picture, and one path always shows the same.
 *
 * @param of which page of a document, counting from 0, or which of its pictures, by hash
 */
export function previewPath(
  material: { id: string; fixes: Fixes },
  size: PreviewSize,
  { page = 0, piece }: { page?: number; piece?: string } = {},
): string {
  const fixes = JSON.stringify(burntIn(material.fixes));
  const query = new URLSearchParams({
    ...(page > 0 ? { page: String(page) } : {}),
    ...(piece === undefined ? {} : { piece }),
    ...(fixes === '{}' ? {} : { fixes }),
  }).toString();
  return `api/materials/${material.id}/preview/${size}${query ? `?${query}` : ''}`;
}

/** Path of a shown picture in the studio, whether it is a material of its own or stands in a document. */
function shownPicturePath({ id, source }: ShownPicture, size: PreviewSize): string {
  const [material = id, piece] = id.split(/[/:]/, 2);
  const { page, fixes } = source;
  if (page !== null) return previewPath({ id: material, fixes: fixesOntoPage(fixes, page) }, size, { page });
  return previewPath({ id: material, fixes }, size, piece === undefined ? {} : { piece });
}

/** Path of a material's own file in the studio, for its maker only. */
const filePath = (material: { id: string }, as: 'download' | 'play' | 'captions'): string =>
  `api/materials/${material.id}/file/${as}`;

/** Where the studio's server has what a draft is drawn from. */
export const draftPaths = { picture: shownPicturePath, file: filePath };
