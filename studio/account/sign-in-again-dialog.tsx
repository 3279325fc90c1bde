import type { Me } from '#contract/account.ts';
import { Dialog } from '../ui/dialog.tsx';
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
  return (
    <Dialog
      title="You are signed out"
      description="What you wrote is kept on this computer. Sign in, and it is sent."
      onClose={onClose}
    >
      <SignInForm email={email} onSignedIn={onSignedIn} />
    </Dialog>
  );
}
