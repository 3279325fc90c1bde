import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { z } from 'zod';
import {
  askForSecondLook,
  endSecondLook,
  listSecondLooks,
  removeSecondLook,
  type SecondLooks,
} from '#contract/second-looks.ts';
import { problemNotice } from '../ui/notice.ts';
import { call, Refusal } from './call.ts';

/** How often is looked for what was ticked; in ms. */
const everyMs = 60_000;
const keyOf = (site: string) => ['second-looks', site];

export type SecondLookWanted = z.input<typeof askForSecondLook.body>;

/** Who looks at the draft of a site for its maker, and what they say; kept fresh while somebody reads it. */
export const useSecondLooks = (site: string) =>
  useQuery({
    queryKey: keyOf(site),
    queryFn: () => call(listSecondLooks, { params: { site } }),
    refetchInterval: everyMs,
  });

/** Opens the draft to somebody, closes it again, and forgets what they said. Each holds from the next request on. */
export function useSecondLookChanges(site: string) {
  const client = useQueryClient();
  const said = {
    onSuccess: (list: SecondLooks) => client.setQueryData(keyOf(site), list),
    onError: (error: Error) => {
      problemNotice(error instanceof Refusal ? error.message : 'This did not work. Try again.');
      // Another tab may have changed what this one shows.
      void client.invalidateQueries({ queryKey: keyOf(site) });
    },
  };
  const ask = useMutation({
    mutationFn: (body: SecondLookWanted) => call(askForSecondLook, { params: { site }, body }),
    ...said,
  });
  const end = useMutation({
    mutationFn: (look: string) => call(endSecondLook, { params: { site, look } }),
    ...said,
  });
  const remove = useMutation({
    mutationFn: (look: string) => call(removeSecondLook, { params: { site, look } }),
    ...said,
  });
  return { ask, end, remove };
}
