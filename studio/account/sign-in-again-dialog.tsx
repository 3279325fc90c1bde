import { Dialog } from 'radix-ui';
import type { Me } from '#contract/account.ts';
import { useFocusBack } from '../ui/use-focus-back.ts';
import { SignInForm } from './sign-in-form.tsx';

/** Asks who is signed out to sign in, over what they were doing. */
export function SignInAgainDialog({
  email,
  onSignedIn,
  onClose,
}: {
  email: string;
  onSignedIn: (me: Me) => void;
  onClose: () => void;
}) {
  const focusBack = useFocusBack();
  return (
    <Dialog.Root open onOpenChange={(wanted) => !wanted && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content className="dialog" {...focusBack}>
          <Dialog.Title className="mb-2">You are signed out</Dialog.Title>
          <Dialog.Description className="mb-4">
            What you wrote is kept on this computer. Sign in, and it is sent.
          </Dialog.Description>
          <SignInForm email={email} onSignedIn={onSignedIn} />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
