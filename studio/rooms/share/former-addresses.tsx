import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { giveUpAddress, listFormerAddresses } from '#contract/sites.ts';
import { call } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { AskDialog } from '../../ui/ask-dialog.tsx';
import { Button } from '../../ui/button.tsx';
import { notice, problemNotice } from '../../ui/notice.ts';

/** Addresses that the site had: they lead on until their maker gives them up. */
export function FormerAddresses() {
  const { state } = useSite();
  const { id: site, address } = state.site;
  const client = useQueryClient();
  const key = ['former-addresses', site, address];
  const { data } = useQuery({
    queryKey: key,
    queryFn: () => call(listFormerAddresses, { params: { site } }),
  });
  const [asked, setAsked] = useState<string | null>(null);
  const giveUp = useMutation({
    mutationFn: (old: string) => call(giveUpAddress, { params: { site, address: old } }),
    onSuccess: (told, old) => {
      client.setQueryData(key, told);
      notice(`/${old}/ leads nowhere any more.`);
    },
    onError: (error) => problemNotice(error.message),
  });
  if (!data || data.addresses.length === 0) return null;
  return (
    <div>
      <p className="field-name">Old addresses that lead on</p>
      <ul>
        {data.addresses.map((old) => (
          <li key={old} className="flex items-center gap-2">
            <span className="min-w-0 flex-1 font-mono text-s break-all">/{old}/</span>
            <Button look="bare" small onClick={() => setAsked(old)}>
              Give up<span className="sr-only"> {old}</span>
            </Button>
          </li>
        ))}
      </ul>
      <AskDialog
        open={asked !== null}
        title={`Give up /${asked ?? ''}/?`}
        answers={[{ name: 'Give it up', run: () => asked !== null && giveUp.mutate(asked) }]}
        onClose={() => setAsked(null)}
      >
        <p>Whoever still has it gets nothing there, and somebody else may take it. It cannot be undone.</p>
      </AskDialog>
    </div>
  );
}
