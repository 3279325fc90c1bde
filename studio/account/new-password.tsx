import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { resetPassword } from '#contract/account.ts';
import { call } from '../api/call.ts';
import { Button } from '../ui/button.tsx';
import { Field } from '../ui/field.tsx';
import { DoorPage } from './door-page.tsx';
import { tokenInAddress } from './token-in-address.ts';

const typed = resetPassword.body.pick({ password: true });

/** Chooses a new password, opened from a mail. */
export function NewPassword() {
  const [token] = useState(tokenInAddress);
  const [done, setDone] = useState(false);
  const form = useForm<z.input<typeof typed>>({ resolver: zodResolver(typed) });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async ({ password }) => {
    try {
      await call(resetPassword, { body: { token, password } });
      setDone(true);
    } catch (error) {
      form.setError('password', { message: error instanceof Error ? error.message : 'Try again.' });
    }
  });
  if (done)
    return (
      <DoorPage title="The new password is set">
        <p className="text-ink-2">You are signed out wherever your account was open. Sign in with it now.</p>
        <Button asChild look="go" className="justify-self-start">
          <a href="/studio/">Sign in</a>
        </Button>
      </DoorPage>
    );
  if (token === '')
    return (
      <DoorPage title="Choose a new password">
        <p className="text-ink-2">
          This page opens from a mail, and only once. Open the link in the mail again, or ask for another one
          at the{' '}
          <a className="link" href="/studio/">
            door of the studio
          </a>
          .
        </p>
      </DoorPage>
    );
  return (
    <DoorPage title="Choose a new password">
      <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-4">
        <Field
          label="New password"
          hint="12 characters or more"
          type="password"
          autoComplete="new-password"
          problem={errors.password?.message}
          {...form.register('password')}
        />
        <Button look="go" type="submit" className="justify-self-start" disabled={isSubmitting}>
          Set the password
        </Button>
      </form>
      <p className="note">
        Your account is then signed out wherever it is open. Too late? Ask for another mail at the{' '}
        <a className="link" href="/studio/">
          door of the studio
        </a>
        .
      </p>
    </DoorPage>
  );
}
