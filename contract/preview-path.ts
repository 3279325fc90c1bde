import { burntIn, type Fixes } from '#core/content/fixes.ts';

export const previewSizes = [480, 1400] as const;
/** Longest side, in pixels, of a picture shown in the studio. */
export type PreviewSize = (typeof previewSizes)[number];

/**
 * Path of a material's picture in the studio, without the slash at its start. The fixes are part of the path: another
 * crop is another picture, and one path always shows the same.
 *
 * @param page which page of a document, counting from 0
 */
export function previewPath(material: { id: string; fixes: Fixes }, size: PreviewSize, page = 0): string {
  const fixes = JSON.stringify(burntIn(material.fixes));
  const query = new URLSearchParams({
    ...(page > 0 ? { page: String(page) } : {}),
    ...(fixes === '{}' ? {} : { fixes }),
  }).toString();
  return `api/materials/${material.id}/preview/${size}${query ? `?${query}` : ''}`;
}
