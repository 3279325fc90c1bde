import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import { getDocument } from '#contract/materials.ts';
import type { DocumentContent } from '#core/materials/document.ts';
import type { Material } from '#core/materials/material.ts';
import { call } from '../api/call.ts';

/** What was read out of the documents given, by the hash of their files; what is still on its way is missing. */
export function useDocuments(
  site: string,
  documents: readonly Material[],
): ReadonlyMap<string, DocumentContent> {
  const queries = useQueries({
    queries: documents.map(({ id, original }) => ({
      queryKey: ['document', original],
      queryFn: () => call(getDocument, { params: { site, material: id } }),
      // What was read out of a file never changes.
      staleTime: Infinity,
    })),
    combine: (results) => results.map(({ data }) => data),
  });
  return useMemo(
    () =>
      new Map(
        documents.flatMap(({ original }, at): [string, DocumentContent][] => {
          const content = queries[at];
          return content ? [[original, content]] : [];
        }),
      ),
    [documents, queries],
  );
}
