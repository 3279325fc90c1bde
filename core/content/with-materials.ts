import type { Id } from './id.ts';
import type { Material } from './material.ts';
import { mostInGallery, type Part } from './part.ts';

/** A part has room for a material: a gallery always, any other while what it shows is missing. */
export function takesMore(part: Part): boolean {
  if (part.kind === 'gallery') return true;
  if (part.kind === 'compare') return part.before === null || part.after === null;
  return 'material' in part && part.material === null;
}

/**
 * The part with materials put into it: pictures after those a gallery has, one or two pictures into the empty sides of
 * before and after, one thing of its kind into a part that has none. Evidence takes a thing of any kind but a note.
 *
 * @returns null when the part cannot take all of them
 */
export function withMaterials(part: Part, materials: readonly Pick<Material, 'id' | 'kind'>[]): Part | null {
  const [only, ...others] = materials;
  if (!only) return null;
  const pictures = materials.every(({ kind }) => kind === 'picture');
  const ids = materials.map(({ id }) => id);
  switch (part.kind) {
    case 'gallery': {
      const all = [...new Set([...part.pictures, ...ids])];
      return pictures && all.length <= mostInGallery ? { ...part, pictures: all } : null;
    }
    case 'compare': {
      const empty = [part.before, part.after].filter((side) => side === null).length;
      if (!pictures || ids.length > empty) return null;
      const rest: (Id | undefined)[] = [...ids];
      const before = part.before ?? rest.shift() ?? null;
      return { ...part, before, after: part.after ?? rest.shift() ?? null };
    }
    case 'evidence':
      return part.material === null && others.length === 0 && only.kind !== 'note'
        ? { ...part, material: only.id }
        : null;
    case 'picture':
    case 'document':
    case 'sound':
    case 'clip':
    case 'link':
      return part.material === null && others.length === 0 && part.kind === only.kind
        ? { ...part, material: only.id }
        : null;
    default:
      return null;
  }
}
