import type { Id } from '../id.ts';
import type { Material, MaterialKind } from '../materials/material.ts';

/** Rules of a part that shows one material, or has room for one. */
interface ShowsOne {
  material: Id | null;
}

/**
 * @param fits kinds of material it can show
 */
export const showsOne = (fits: (kind: MaterialKind) => boolean) => ({
  materials: ({ material }: ShowsOne): Id[] => (material === null ? [] : [material]),
  without: <P extends ShowsOne>(part: P, material: Id): P =>
    part.material === material ? { ...part, material: null } : part,
  take: <P extends ShowsOne>(
    part: P,
    [only, ...others]: readonly Pick<Material, 'id' | 'kind'>[],
  ): P | null =>
    part.material === null && only && others.length === 0 && fits(only.kind)
      ? { ...part, material: only.id }
      : null,
});
