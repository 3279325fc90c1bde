import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { forgotPassword } from '#contract/account.ts';
import { call } from '../api/call.ts';
import { Button } from '../ui/button.tsx';
import { Field } from '../ui/field.tsx';

/** Asks for a mail to choose a new password with. */
export function ForgottenForm() {
  const [sent, setSent] = useState<string | null>(null);
  const form = useForm<z.input<typeof forgotPassword.body>>({ resolver: zodResolver(forgotPassword.body) });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async (body) => {
    try {
      await call(forgotPassword, { body });
      setSent(body.email);
    } catch (error) {
      form.setError('email', { message: error instanceof Error ? error.message : 'Try again.' });
    }
  });
  if (sent !== null)
    return (
      <p role="status">
        If there is an account with {sent}, a mail is on its way to it. What is in it works for an hour.
      </p>
    );
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-4">
      <p className="text-ink-2">Write the address of your account. A mail to it lets you choose a new one.</p>
      <Field
        label="E-mail"
        type="email"
        autoComplete="email"
        problem={errors.email?.message}
        {...form.register('email')}
      />
      <Button look="go" type="submit" disabled={isSubmitting}>
        Send the mail
      </Button>
    </form>
  );
}
