import { useQueries } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { DocumentContent } from '#core/materials/document.ts';
import type { Material } from '#core/materials/material.ts';
import { documentQuery } from './document-query.ts';

/** What was read out of the documents given, by the hash of their files; what is still on its way is missing. */
export function useDocuments(
  site: string,
  documents: readonly Material[],
): ReadonlyMap<string, DocumentContent> {
  const queries = useQueries({
    queries: documents.map((document) => documentQuery(site, document)),
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
