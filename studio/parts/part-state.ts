import { coarseHere, type Place } from '#core/gallery/coarse-here.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { placeOfPart } from '#core/gallery/place-of-part.ts';
import type { Id } from '#core/id.ts';
import type { Material } from '#core/materials/material.ts';
import { materialsById } from '#core/materials/materials-by-id.ts';
import type { Opening } from '#core/pages/opening.ts';
import { isEmptyPart } from '#core/parts/is-empty-part.ts';
import { materialsOf } from '#core/parts/materials-of.ts';
import { type Part, rulesOf } from '#core/parts/parts.ts';
import { plural } from '#core/words/plural.ts';

export interface PartState {
  sign: 'empty' | 'needs' | 'edited' | 'fine';
  words: string;
}

export const editedSince: PartState = { sign: 'edited', words: 'Edited since the release' };
const ready: PartState = { sign: 'fine', words: 'Ready' };
/** The signs of the tail, for a maker who has not met them yet. */
export const legend: readonly PartState[] = [
  ready,
  { sign: 'needs', words: 'Needs something' },
  { sign: 'empty', words: 'Empty' },
  { ...editedSince, words: 'Edited since live' },
];

/** How many of some pictures have too few pixels for a place. */
export const coarseAmong = (ids: readonly Id[], place: Place, materials: ReadonlyMap<Id, Material>): number =>
  ids.filter((id) => {
    const one = materials.get(id);
    return one?.kind === 'picture' && coarseHere(shownSize(one.facts, one.fixes), place) !== null;
  }).length;

/**
 * Whether a part is empty, needs something before it is shown, or is newer than what readers see.
 *
 * @param edited readers see an older state of it
 */
export function partState(part: Part, materials: readonly Material[], edited: boolean): PartState {
  if (isEmptyPart(part)) return { sign: 'empty', words: 'Empty: readers do not get it' };
  const known = materialsById(materials);
  const shown = [...new Set(materialsOf(part))].flatMap((id) => known.get(id) ?? []);
  const missing = shown.filter((one) => one.kind === 'picture' && one.alt.trim() === '').length;
  if (missing > 0) return { sign: 'needs', words: `Needs alt text for ${plural(missing, 'picture')}` };
  const needs = rulesOf(part).needs(part);
  if (needs !== null) return { sign: 'needs', words: `Needs ${needs}` };
  const silent = shown.some(
    (one) => (one.kind === 'sound' || one.kind === 'clip') && one.transcript.trim() === '',
  );
  if (silent) return { sign: 'needs', words: 'Needs a transcript, for people who cannot hear it' };
  const place = placeOfPart(part);
  const coarse = place ? coarseAmong(materialsOf(part), place, known) : 0;
  if (coarse > 0)
    return {
      sign: 'needs',
      words:
        coarse === 1
          ? 'A picture is too small for its place'
          : `${coarse} pictures are too small for their place`,
    };
  return edited ? editedSince : ready;
}

/** What the opening needs, where its pictures have too few pixels for it; null where nothing is to be said. */
export function openingState(
  { layout, pictures }: Opening,
  materials: readonly Material[],
): PartState | null {
  if (layout === 'words' || pictures.length === 0) return null;
  const [first] = pictures;
  const known = materialsById(materials);
  const coarse =
    layout === 'full' && first
      ? coarseAmong([first], 'opening', known)
      : coarseAmong(pictures, 'strip', known);
  return coarse > 0 ? { sign: 'needs', words: 'The picture is too small for the opening' } : null;
}
