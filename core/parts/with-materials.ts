import type { Material, MaterialKind } from '../materials/material.ts';
import { partKindOf } from './part-kind-of.ts';
import { isKnownPart, type Part, rulesOf } from './parts.ts';

const materialKinds = Object.keys(partKindOf) as MaterialKind[];

/** A part has room for a material of some kind: a gallery while it is not full, most others while what they show is missing. */
export const takesMore = (part: Part): boolean =>
  materialKinds.some((kind) => withMaterials(part, [{ id: 'another', kind }]) !== null);

/**
 * The part with materials put into it: pictures after those a gallery has, one or two pictures into the empty sides of
 * before and after, one thing of its kind into a part that has none. Evidence takes a thing of any kind but a note.
 *
 * @returns null when the part cannot take all of them
 */
export const withMaterials = (
  part: Part,
  materials: readonly Pick<Material, 'id' | 'kind'>[],
): Part | null => (isKnownPart(part) && materials.length > 0 ? rulesOf(part).take(part, materials) : null);
