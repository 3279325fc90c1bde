import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { getInside, type KnownInside, readInside } from '#contract/inside.ts';
import { digestOf } from '#core/check/digest.ts';
import { materialsOn } from '#core/pages/materials-on.ts';
import { isShown } from '#core/pages/page.ts';
import { call } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';
import { type InTurns, useInTurns } from './use-in-turns.ts';
import { storeOf } from './use-findings.ts';

const keyOf = (site: string) => ['inside', site] as const;

/** What is known of the insides of documents and pictures on the pages; asked anew after every saved change. */
export function useInside() {
  const { state } = useSite();
  const { id } = state.site;
  return useQuery({
    queryKey: [...keyOf(id), state.revision],
    queryFn: () => call(getInside, { params: { site: id } }),
    placeholderData: keepPreviousData,
  });
}

/**
 * Has what is inside documents and pictures counted on the rail in every room. It is asked for when other things stand on the pages and
 * that is saved, not after every word that is written.
 */
export function useInsideOnRail(): void {
  const { state, saving } = useSite();
  const { id, language, underAge, by } = state.site;
  const { pages } = state;
  const standing = useMemo(
    () => digestOf(JSON.stringify([pages.filter(isShown).map(materialsOn), language, underAge, by])),
    [pages, language, underAge, by],
  );
  const { data } = useQuery({
    queryKey: [...keyOf(id), 'on the rail', standing],
    queryFn: () => call(getInside, { params: { site: id } }),
    enabled: saving.kind === 'saved',
  });
  const inside = data?.inside;
  useEffect(() => {
    if (inside) storeOf(id).tellBesides({ inside });
  }, [id, inside]);
}

/** Has pictures of the site looked through, some at a time. */
export function useReadingPictures(unread: number): InTurns {
  const { id } = useSite().state.site;
  const client = useQueryClient();
  return useInTurns(id, unread, async (signal) => {
    const known: KnownInside = await call(readInside, { params: { site: id }, signal });
    client.setQueriesData({ queryKey: keyOf(id) }, known);
    return known.unread;
  });
}
