import type { Material } from '#core/materials/material.ts';
import { materialsById } from '#core/materials/materials-by-id.ts';
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
  return edited ? editedSince : ready;
}
