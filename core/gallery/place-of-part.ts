import type { Part } from '../parts/parts.ts';
import type { Place } from './coarse-here.ts';

/** Of parts that are pictures, the place these get; null for all others. */
export function placeOfPart(part: Part): Place | null {
  if (part.kind === 'picture') return part.width;
  return part.kind === 'gallery' ? 'gallery' : null;
}
