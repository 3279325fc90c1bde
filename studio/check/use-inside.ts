import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { getInside, type KnownInside, readInside } from '#contract/inside.ts';
import { digestOf } from '#core/check/digest.ts';
import { materialsOn } from '#core/pages/materials-on.ts';
import { isShown } from '#core/pages/page.ts';
import { call } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';
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

/** So close together two presses are one. */
const doublePressMs = 700;

export interface ReadingPictures {
  /** How many were to be read when it began; null while nothing is read. */
  of: number | null;
  problem: Error | null;
  start: () => void;
  stop: () => void;
}

/** Has words read in the pictures of the site, some at a time, until all are read or somebody stops it. */
export function useReadingPictures(unread: number): ReadingPictures {
  const { state } = useSite();
  const { id } = state.site;
  const client = useQueryClient();
  const [of, setOf] = useState<number | null>(null);
  const [problem, setProblem] = useState<Error | null>(null);
  const running = useRef<{ mine: AbortController; since: number } | null>(null);
  // Whoever leaves the room has it stopped; what was read is kept.
  useEffect(() => () => running.current?.mine.abort(), [id]);
  const read = async (signal: AbortSignal) => {
    for (let left = unread; left > 0;) {
      const known: KnownInside = await call(readInside, { params: { site: id }, signal });
      client.setQueriesData({ queryKey: keyOf(id) }, known);
      // None of what is left can be read now, such as where another window put it away.
      if (known.unread >= left) return;
      left = known.unread;
    }
  };
  return {
    of,
    problem,
    start: () => {
      const mine = new AbortController();
      running.current = { mine, since: Date.now() };
      setProblem(null);
      setOf(unread);
      void read(mine.signal)
        .catch((error: unknown) => {
          if (!mine.signal.aborted) setProblem(error instanceof Error ? error : new Error(String(error)));
        })
        .finally(() => {
          if (running.current?.mine === mine) setOf(null);
        });
    },
    // What stops it stands where it was begun: the second half of a double press is meant for neither.
    stop: () => {
      if (running.current && Date.now() - running.current.since > doublePressMs) running.current.mine.abort();
    },
  };
}
