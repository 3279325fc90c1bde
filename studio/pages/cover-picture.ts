import { coverOf, type Covered } from '#core/gallery/cover-of.ts';
import { isPicture, type Material, type MaterialOf } from '#core/materials/material.ts';
import { materialsById } from '#core/materials/materials-by-id.ts';

/** The picture that stands for a page in the studio: the one readers get, and the point of it that is kept in view. */
export function coverPicture(
  page: Covered,
  materials: readonly Material[],
): { picture: MaterialOf<'picture'>; focus: { x: number; y: number } | undefined } | null {
  const known = materialsById(materials);
  const pictureOf = (id: string) => {
    const material = known.get(id);
    return material && isPicture(material) ? material : null;
  };
  const picture = pictureOf(coverOf(page, (id) => pictureOf(id) !== null) ?? '');
  return picture && { picture, focus: page.cover.focus ?? picture.fixes.focus ?? undefined };
}
