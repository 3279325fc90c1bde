import { coarseHere, coarseInWords, type Place } from '#core/gallery/coarse-here.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import type { Material } from '#core/materials/material.ts';

/** Says of a picture that it has too few pixels for where it is placed; nothing where it has enough. */
export function CoarseNote({ material, place }: { material: Material; place: Place }) {
  if (material.kind !== 'picture') return null;
  const coarse = coarseHere(shownSize(material.facts, material.fixes), place);
  return coarse && <p className="field-problem col-span-full">{coarseInWords(coarse)}</p>;
}
