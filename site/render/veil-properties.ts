import { type Veil, veilColours } from '#core/look/veil.ts';
import type { Properties } from './declarations.ts';

/** Custom properties of words over a picture: their colour, that of the veil, and how strong it is on narrow, middle and wide pages. */
export function veilProperties(veils: readonly Veil[]): Properties {
  const [narrow, middle = narrow, wide = middle] = veils;
  if (!narrow || !middle || !wide) return {};
  const { words, shade } = veilColours[narrow.words];
  return {
    '--over': words,
    '--shade-rgb': shade,
    '--shade': narrow.alpha,
    ...(middle.alpha !== narrow.alpha && { '--shade-middle': middle.alpha }),
    ...(wide.alpha !== middle.alpha && { '--shade-wide': wide.alpha }),
  };
}
