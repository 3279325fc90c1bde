import { queryOptions } from '@tanstack/react-query';
import { getDocument } from '#contract/materials.ts';
import type { Material } from '#core/materials/material.ts';
import { call } from '../api/call.ts';

/** How what was read out of a document is fetched: once for each file, whichever material stands for it. */
export const documentQuery = (site: string, { id, original }: Pick<Material, 'id' | 'original'>) =>
  queryOptions({
    queryKey: ['document', original],
    queryFn: () => call(getDocument, { params: { site, material: id } }),
    // What was read out of a file never changes.
    staleTime: Infinity,
  });
