import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { type Me, signIn, type SignIn, signInSchema } from '#contract/account.ts';
import { call } from '../api/call.ts';
import { Field } from '../ui/field.tsx';
import { Button } from '../ui/button.tsx';

/** E-mail and password, at the door and wherever a session ends. */
export function SignInForm({ email = '', onSignedIn }: { email?: string; onSignedIn: (me: Me) => void }) {
  const form = useForm<SignIn>({ resolver: zodResolver(signInSchema), defaultValues: { email } });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async (body) => {
    try {
      onSignedIn(await call(signIn, { body }));
    } catch (error) {
      form.setError('password', { message: error instanceof Error ? error.message : 'Try again.' });
    }
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-4">
      <Field
        label="E-mail"
        problem={errors.email?.message}
        type="email"
        autoComplete="email"
        {...form.register('email')}
      />
      <Field
        label="Password"
        problem={errors.password?.message}
        type="password"
        autoComplete="current-password"
        {...form.register('password')}
      />
      <Button look="go" type="submit" disabled={isSubmitting}>
        {isSubmitting ? 'Opening' : 'Sign in'}
      </Button>
    </form>
  );
}
