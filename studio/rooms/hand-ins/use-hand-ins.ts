import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import {
  changeHandIn,
  doHandIn,
  type HandIn,
  listHandIns,
  makeHandIn,
  removeHandIn,
  tellClass,
  undoHandIn,
} from '#contract/hand-ins.ts';
import type { HandInTerms } from '#core/hand-ins/hand-in.ts';
import type { z } from 'zod';
import { call } from '../../api/call.ts';
import { passesKey } from '../../api/passes-key.ts';
import { useSite } from '../../api/site-context.tsx';
import { notice, problemNotice } from '../../ui/notice.ts';

/** What is handed in, and what can be done with it. */
export function useHandIns() {
  const { state } = useSite();
  const client = useQueryClient();
  const site = state.site.id;
  const params = { site };
  // What its readers find depends on what is live.
  const key = ['hand-ins', site, state.live.release?.number, state.revision];
  const query = useQuery({ queryKey: key, queryFn: () => call(listHandIns, { params }) });
  const put = ({ handIns }: { handIns: HandIn[] }) => client.setQueryData(key, { handIns });
  const onError = (error: Error) => {
    problemNotice(error.message);
    void client.invalidateQueries({ queryKey: ['hand-ins', site] });
  };
  const make = useMutation({
    mutationFn: (terms: HandInTerms) => call(makeHandIn, { params, body: terms }),
    onSuccess: put,
  });
  const change = useMutation({
    mutationFn: ({ id, terms }: { id: string; terms: HandInTerms }) =>
      call(changeHandIn, { params: { site, handIn: id }, body: terms }),
    onSuccess: put,
  });
  const remove = useMutation({
    mutationFn: ({ id }: HandIn) => call(removeHandIn, { params: { site, handIn: id } }),
    onSuccess: (told, { what, ofClass }) => {
      put(told);
      if (ofClass) void client.invalidateQueries({ queryKey: passesKey(site) });
      notice(
        ofClass
          ? `You have left “${ofClass.name}”. Its pass opens nothing any more.`
          : `“${what}” is taken off the list. Its link opens what it opened.`,
      );
    },
    onError,
  });
  const hand = useMutation({
    mutationFn: async ({ id, anyway, ticked }: { id: string; anyway: boolean; ticked: string[] | null }) => {
      // A class learns of it only once it is handed in, so it can be told before.
      if (ticked) await call(tellClass, { params: { site, handIn: id }, body: { ticked } });
      return call(doHandIn, { params: { site, handIn: id }, body: { anyway } });
    },
    onSuccess: put,
    onError,
  });
  const undo = useMutation({
    mutationFn: ({ id }: HandIn) => call(undoHandIn, { params: { site, handIn: id } }),
    onSuccess: put,
    onError,
  });
  const tell = useMutation({
    mutationFn: ({ id, ...body }: { id: string } & z.input<typeof tellClass.body>) =>
      call(tellClass, { params: { site, handIn: id }, body }),
    onSuccess: put,
    onError,
  });
  return { query, tell, make, change, remove, hand, undo };
}
