import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { askLink, askSomeLinks, type KnownAnswers, listLinkAnswers } from '#contract/link-answers.ts';
import { digestOf } from '#core/check/digest.ts';
import type { LinkAnswer } from '#core/links/link-answer.ts';
import { linksElsewhere } from '#core/links/links-elsewhere.ts';
import { standingPages } from '#core/pages/standing-pages.ts';
import { call } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';
import { type InTurns, useInTurns } from './use-in-turns.ts';
import { storeOf } from './use-findings.ts';

const keyOf = (site: string) => ['link-answers', site] as const;

/** What addresses elsewhere answered, told to the rules; asked anew where pages lead elsewhere than before and that is saved. */
export function useLinkAnswers(): KnownAnswers | undefined {
  const { state, saving } = useSite();
  const { id, quickLinks } = state.site;
  const { pages } = state;
  const leads = useMemo(
    () =>
      digestOf(JSON.stringify([standingPages(pages).map(({ parts }) => linksElsewhere(parts)), quickLinks])),
    [pages, quickLinks],
  );
  const { data } = useQuery({
    queryKey: [...keyOf(id), leads],
    queryFn: () => call(listLinkAnswers, { params: { site: id } }),
    enabled: saving.kind === 'saved',
    placeholderData: keepPreviousData,
  });
  const answers = data?.answers;
  useEffect(() => {
    if (answers)
      storeOf(id).tellBesides({ answers: answers.map(({ to, state, movedTo }) => ({ to, state, movedTo })) });
  }, [id, answers]);
  return data;
}

/** Has one address tried, and remembers what it answers. */
export function useAskLink(): (to: string) => Promise<LinkAnswer> {
  const client = useQueryClient();
  const { id } = useSite().state.site;
  return async (to) => {
    const answer = await call(askLink, { params: { site: id }, body: { to } });
    client.setQueriesData({ queryKey: keyOf(id) }, (old: KnownAnswers | undefined) =>
      old ? { ...old, answers: [...old.answers.filter((one) => one.to !== to), answer] } : old,
    );
    return answer;
  };
}

/** Has the addresses tried that pages lead to, some at a time. */
export function useTryingLinks(untried: number): InTurns {
  const { id } = useSite().state.site;
  const client = useQueryClient();
  return useInTurns(id, untried, async (signal) => {
    const known = await call(askSomeLinks, { params: { site: id }, signal });
    client.setQueriesData({ queryKey: keyOf(id) }, known);
    return known.untried;
  });
}
