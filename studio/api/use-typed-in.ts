import { format } from 'date-fns';
import { useCallback } from 'react';
import { addLink, addNote } from '#contract/links-and-notes.ts';
import { type ImportReply } from '#contract/materials.ts';
import { webAddressSchema } from '#contract/web-address.ts';
import { call, Refusal } from './call.ts';
import { useSite } from './site-context.tsx';

/** What came of gathering something without a file: its material, or a sentence about why not. */
export type TypedIn =
  { material: string; duplicate: boolean; problem: '' } | { material: null; problem: string };

/** Gathers what is typed or pasted: web addresses and notes. */
export function useTypedIn() {
  const { state, run } = useSite();
  const site = state.site.id;
  const gather = useCallback(
    async (asked: () => Promise<ImportReply>): Promise<TypedIn> => {
      try {
        const reply = await asked();
        await run(() => Promise.resolve(reply));
        return { material: reply.material, duplicate: reply.duplicate, problem: '' };
      } catch (error) {
        return {
          material: null,
          problem: error instanceof Refusal ? error.message : 'This could not be kept. Try again.',
        };
      }
    },
    [run],
  );
  const link = useCallback(
    async (address: string): Promise<TypedIn> => {
      const read = webAddressSchema.safeParse(address);
      if (!read.success) return { material: null, problem: read.error.issues[0]?.message ?? '' };
      return gather(() => call(addLink, { params: { site }, body: { url: read.data } }));
    },
    [gather, site],
  );
  const note = useCallback(
    (text: string): Promise<TypedIn> =>
      gather(() =>
        call(addNote, { params: { site }, body: { text, writtenOn: format(new Date(), 'yyyy-MM-dd') } }),
      ),
    [gather, site],
  );
  return { link, note };
}
