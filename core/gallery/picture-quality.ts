import type { PictureFeatures } from './picture-features.ts';

export const warnings = ['perhaps-blurred', 'very-dark', 'very-bright', 'too-small'] as const;
/** What may keep a picture from being shown large. None of them forbids anything. */
export type Warning = (typeof warnings)[number];

/** Blur effect of the sharpest tile above which even that tile has no clear edge (set in docs/look-alikes.md). */
const blurredFrom = 0.46;
/** Nearly all of a very dark picture lies below this luminance, and most of a very bright one above the other. */
const darkBelow = 64;
const brightAbove = 215;
/** Widest place of a page (our choice). */
const widestPlacePx = 1200;
/** How far a picture may be enlarged before one sees it (our choice). */
export const mostEnlarged = 1.5;

/**
 * What a maker might want to know of a picture before it is shown large.
 *
 * @param sizePx width and height as seen
 * @param features null when they have not been read yet: then only the size is judged
 */
export function pictureWarnings(
  sizePx: { widthPx: number; heightPx: number },
  features: Pick<PictureFeatures, 'blur' | 'mean' | 'bright'> | null,
): Warning[] {
  const found: Warning[] = [];
  if (features && features.blur > blurredFrom) found.push('perhaps-blurred');
  if (features && features.bright < darkBelow) found.push('very-dark');
  if (features && features.mean > brightAbove) found.push('very-bright');
  if (sizePx.widthPx * mostEnlarged < widestPlacePx && sizePx.heightPx * mostEnlarged < widestPlacePx)
    found.push('too-small');
  return found;
}
