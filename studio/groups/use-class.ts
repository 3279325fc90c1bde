import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { askOne, type ClassPage, endClass, endEntry, getClass, writeBack } from '#contract/groups.ts';
import type { Returned } from '#core/groups/given-back.ts';
import { call } from '../api/call.ts';
import { notice, problemNotice } from '../ui/notice.ts';

/** How often is looked for who handed in; in ms. */
const everyMs = 60_000;

/** Who joined the class page of a group, and what can be done with what they handed in. */
export function useClass(group: string) {
  const client = useQueryClient();
  const key = ['class', group];
  const query = useQuery({
    queryKey: key,
    queryFn: () => call(getClass, { params: { group } }),
    refetchInterval: everyMs,
  });
  const put = (page: ClassPage) => client.setQueryData(key, page);
  const onError = (error: Error) => {
    problemNotice(error.message);
    void client.invalidateQueries({ queryKey: key });
  };
  const ask = useMutation({
    mutationFn: ({ entry, words }: { entry: string; words: string }) =>
      call(askOne, { params: { group, entry }, body: { words } }),
    onSuccess: put,
  });
  const end = useMutation({
    mutationFn: (entry: string) => call(endEntry, { params: { group, entry } }),
    onSuccess: (page) => {
      put(page);
      notice('Its sharing with the class is over. The link opens nothing from now on.');
    },
    onError,
  });
  const endAll = useMutation({
    mutationFn: () => call(endClass, { params: { group } }),
    onSuccess: (page) => {
      put(page);
      void client.invalidateQueries({ queryKey: ['groups'] });
      notice('The class page is ended. What was shared with it is closed.');
    },
    onError,
  });
  const write = useMutation({
    // One letter after the other, in the order in which they were written.
    scope: { id: `letters ${group}` },
    mutationFn: ({ entry, returned, give }: { entry: string; returned: Returned; give: boolean }) =>
      call(writeBack, { params: { group, entry }, body: { returned, give } }),
    onSuccess: put,
    onError,
  });
  return { query, ask, end, endAll, write };
}
