import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { changePassword } from '#contract/account.ts';
import { call, Refusal } from '../api/call.ts';
import { Button } from '../ui/button.tsx';
import { Field } from '../ui/field.tsx';
import { notice } from '../ui/notice.ts';
import { useAccountChange } from './use-account.ts';

type Typed = z.input<typeof changePassword.body>;

/** Another password, for who knows the one there is. @param email told to the browser, which keeps passwords by it */
export function PasswordForm({ email }: { email: string }) {
  const change = useAccountChange((body: Typed) => call(changePassword, { body }));
  const form = useForm<Typed>({ resolver: zodResolver(changePassword.body) });
  const { errors } = form.formState;
  const submit = form.handleSubmit(async (body) => {
    try {
      await change.mutateAsync(body);
      form.reset();
      notice('The new password is set. You are signed out everywhere but here.');
    } catch (error) {
      const about = error instanceof Refusal && error.problem.field === 'old' ? 'old' : 'password';
      form.setError(about, { message: error instanceof Error ? error.message : 'Try again.' });
    }
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-3">
      <input type="text" name="username" autoComplete="username" value={email} readOnly hidden />
      <Field
        label="Password now"
        type="password"
        autoComplete="current-password"
        problem={errors.old?.message}
        {...form.register('old')}
      />
      <Field
        label="New password"
        hint="12 characters or more"
        type="password"
        autoComplete="new-password"
        problem={errors.password?.message}
        {...form.register('password')}
      />
      <Button type="submit" className="justify-self-start" disabled={change.isPending}>
        Set the new password
      </Button>
    </form>
  );
}
