import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo } from 'react';
import { findInWords } from '#contract/materials.ts';
import { call } from '../api/call.ts';

const none: ReadonlySet<string> = new Set();

/** What a query finds in words the studio has not at hand, those of documents and long ones; nothing until the server has answered. */
export function useFound(site: string, query: string, revision: number): ReadonlySet<string> {
  const asked = useDeferredValue(query.trim());
  const { data } = useQuery({
    queryKey: ['found', site, asked, revision],
    queryFn: () => call(findInWords, { params: { site }, body: { query: asked } }),
    enabled: asked.length > 1,
    placeholderData: keepPreviousData,
  });
  return useMemo(() => (asked.length > 1 && data ? new Set(data.materials) : none), [asked, data]);
}
