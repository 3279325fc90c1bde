import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { z } from 'zod';
import {
  changePass,
  listPasses,
  makePasses,
  type Pass,
  type PassList,
  removePass,
  renewPass,
  restorePass,
} from '#contract/passes.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { passesKey } from '../../api/passes-key.ts';
import { notice, problemNotice } from '../../ui/notice.ts';

export type PassWanted = z.input<typeof makePasses.body>['passes'][number];
export type PassChange = z.input<typeof changePass.body>;

/** The passes of the site, and what can be done with them. Each step works on the next request of a reader. */
export function usePasses() {
  const { state } = useSite();
  const client = useQueryClient();
  const site = state.site.id;
  const key = passesKey(site);
  const params = { site };
  const query = useQuery({ queryKey: key, queryFn: () => call(listPasses, { params }) });
  const set = (change: (passes: Pass[]) => Pass[]) =>
    client.setQueryData(key, (known: PassList | undefined) => ({
      visits: known?.visits ?? {},
      passes: change(known?.passes ?? []),
    }));
  const put = (pass: Pass) => set((passes) => passes.map((one) => (one.id === pass.id ? pass : one)));
  const failed = (error: Error) => {
    problemNotice(error.message);
    // Another tab may have changed what this one shows.
    void client.invalidateQueries({ queryKey: key });
  };
  const make = useMutation({
    mutationFn: (passes: PassWanted[]) => call(makePasses, { params, body: { passes } }),
    onSuccess: (made) => set((passes) => [...passes, ...made.passes]),
  });
  const change = useMutation({
    mutationFn: ({ pass, ...body }: PassChange & { pass: string }) =>
      call(changePass, { params: { site, pass }, body }),
    onSuccess: put,
  });
  const restore = useMutation({
    mutationFn: (pass: string) => call(restorePass, { params: { site, pass } }),
    onSuccess: () => client.invalidateQueries({ queryKey: key }),
    onError: failed,
  });
  const renew = useMutation({
    mutationFn: ({ id }: Pass) => call(renewPass, { params: { site, pass: id } }),
    onSuccess: (pass) => {
      put(pass);
      notice(`“${pass.label}” has a new link. The old one opens nothing from now on.`);
    },
    onError: failed,
  });
  const remove = useMutation({
    mutationFn: ({ id }: Pass) => call(removePass, { params: { site, pass: id } }),
    onSuccess: (left, { id, label }) => {
      client.setQueryData(key, left);
      notice(`“${label}” is taken away, and its link opens nothing.`, {
        action: { label: 'Bring it back, switched off', onClick: () => restore.mutate(id) },
        duration: 12_000,
      });
    },
    onError: failed,
  });
  const toggle = useMutation({
    mutationFn: ({ id, on }: Pass) => call(changePass, { params: { site, pass: id }, body: { on: !on } }),
    onSuccess: put,
    onError: failed,
  });
  return { query, make, change, renew, remove, toggle };
}
