import { useQueryClient } from '@tanstack/react-query';
import { Dialog } from 'radix-ui';
import { lazy, Suspense, useEffect, useState } from 'react';
import type { Me } from '#contract/account.ts';
import { signedOutEvent } from '../api/call.ts';
import { Loading } from '../ui/states.tsx';
import { useFocusBack } from '../ui/use-focus-back.ts';

const SignInForm = lazy(() =>
  import('./sign-in-form.tsx').then((module) => ({ default: module.SignInForm })),
);

/**
 * When a session ends in mid-work: signing in on the spot, with everything on the screen left as it is.
 *
 * @param onBack called when the same maker is back: what was kept can be sent
 */
export function SignInAgain({ onBack }: { onBack: () => void }) {
  const client = useQueryClient();
  const [open, setOpen] = useState(false);
  const focusBack = useFocusBack();
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
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content className="dialog" {...focusBack}>
          <Dialog.Title className="mb-2">You are signed out</Dialog.Title>
          <Dialog.Description className="mb-4">
            What you wrote is kept on this computer. Sign in, and it is sent.
          </Dialog.Description>
          <Suspense fallback={<Loading what="One moment" />}>
            <SignInForm email={before?.email ?? ''} onSignedIn={signedIn} />
          </Suspense>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
