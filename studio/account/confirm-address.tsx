import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { confirmAddress } from '#contract/account.ts';
import { call } from '../api/call.ts';
import { Button } from '../ui/button.tsx';
import { DoorPage } from './door-page.tsx';
import { tokenInAddress } from './token-in-address.ts';

/** Confirms an address, opened from a mail. By a press: programs that look into mails open what is in them. */
export function ConfirmAddress() {
  const [token] = useState(tokenInAddress);
  const confirm = useMutation({ mutationFn: () => call(confirmAddress, { body: { token } }) });
  const onwards = (
    <Button asChild className="justify-self-start">
      <a href="/studio/">To the studio</a>
    </Button>
  );
  if (confirm.isSuccess)
    return (
      <DoorPage title="The address is confirmed">
        <p className="text-ink-2">Your account goes by {confirm.data.email}.</p>
        {onwards}
      </DoorPage>
    );
  if (token === '')
    return (
      <DoorPage title="Confirm your address">
        <p className="text-ink-2">This page opens from a mail. Open the link in the mail again.</p>
        {onwards}
      </DoorPage>
    );
  return (
    <DoorPage title="Is this address yours?">
      <p className="text-ink-2">
        You opened this from a mail that was sent to it. Confirm it if you have an account here.
      </p>
      <Button
        look="go"
        className="justify-self-start"
        disabled={confirm.isPending}
        onClick={() => confirm.mutate()}
      >
        Confirm the address
      </Button>
      {confirm.error && (
        <p className="field-problem" role="alert">
          {confirm.error.message}
        </p>
      )}
    </DoorPage>
  );
}
