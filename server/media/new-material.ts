import type { Material, MaterialKind } from '#core/materials/material.ts';
import { mine } from '#core/credits/provenance.ts';
import { newId } from '../db/new-id.ts';

export type KindAndFacts = {
  [K in MaterialKind]: Pick<Extract<Material, { kind: K }>, 'kind' | 'facts'>;
}[MaterialKind];

/** A material as it is gathered, before its maker has said anything about it. */
export const newMaterial = (
  known: Pick<Material, 'original' | 'fileName' | 'bytes' | 'title'> & Partial<Material>,
  of: KindAndFacts,
): Material =>
  ({
    id: newId(),
    caption: '',
    alt: '',
    takenOn: null,
    tags: [],
    provenance: mine,
    project: null,
    fixes: {},
    transcript: '',
    shownBy: null,
    ...known,
    ...of,
  }) as Material;
