import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Me } from '#contract/account.ts';
import { signedOutEvent } from '../api/call.ts';
import { fetched } from '../ui/fetched.tsx';
import { Loading } from '../ui/states.tsx';

const SignInAgainDialog = fetched(
  () => import('./sign-in-again-dialog.tsx').then((module) => module.SignInAgainDialog),
  () => <Loading what="One moment" />,
);

/**
 * When a session ends in mid-work: signing in on the spot, with everything on the screen left as it is.
 *
 * @param onBack called when the same maker is back: what was kept can be sent
 */
export function SignInAgain({ onBack }: { onBack: () => void }) {
  const client = useQueryClient();
  const [open, setOpen] = useState(false);
  const before = client.getQueryData<Me>(['me'])?.account;
  useEffect(() => {
    const onSignedOut = () => setOpen(true);
    window.addEventListener(signedOutEvent, onSignedOut);
    return () => window.removeEventListener(signedOutEvent, onSignedOut);
  }, []);
  const signedIn = (me: Me) => {
    // Somebody else's studio is another one; what is kept here waits for its maker.
    if (me.account?.id !== before?.id) return window.location.assign('/studio/');
    client.setQueryData(['me'], me);
    setOpen(false);
    onBack();
  };
  if (!open) return null;
  return (
    <SignInAgainDialog email={before?.email ?? ''} onSignedIn={signedIn} onClose={() => setOpen(false)} />
  );
}
