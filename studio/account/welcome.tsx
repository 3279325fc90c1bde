import { zodResolver } from '@hookform/resolvers/zod';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { useForm } from 'react-hook-form';
import { useLocation } from 'react-router';
import {
  createAccount,
  type NewAccount,
  newAccountSchema,
  signInToDemo,
  type Me,
} from '#contract/account.ts';
import { call, Refusal } from '../api/call.ts';
import { Field } from '../ui/field.tsx';
import { ForgottenForm } from './forgotten-form.tsx';
import { HungPictures } from './hung-pictures.tsx';
import { KiteMark } from '../ui/kite-mark.tsx';
import { OpenSites } from './open-sites.tsx';
import { SignInForm } from './sign-in-form.tsx';
import { Button } from '../ui/button.tsx';

function useEnter() {
  const client = useQueryClient();
  return async (me: Me) => {
    // Asked before who this is, and answered after: that answer is of nobody.
    await client.cancelQueries({ queryKey: ['me'] });
    client.setQueryData(['me'], me);
  };
}

function NewAccountForm({ needsCode }: { needsCode: boolean }) {
  const enter = useEnter();
  const form = useForm<NewAccount>({ resolver: zodResolver(newAccountSchema) });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async (body) => {
    try {
      await enter(await call(createAccount, { body }));
    } catch (error) {
      const about = error instanceof Refusal ? error.problem.field : undefined;
      const field = about === 'email' || about === 'code' ? about : 'password';
      form.setError(field, { message: error instanceof Error ? error.message : 'Try again.' });
    }
  });
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-4">
      <Field
        label="Name your work goes under"
        hint="initials are fine"
        problem={errors.name?.message}
        autoComplete="nickname"
        {...form.register('name')}
      />
      <Field
        label="E-mail"
        problem={errors.email?.message}
        type="email"
        autoComplete="email"
        {...form.register('email')}
      />
      <Field
        label="Password"
        hint="12 characters or more"
        problem={errors.password?.message}
        type="password"
        autoComplete="new-password"
        {...form.register('password')}
      />
      {needsCode && (
        <Field
          label="Code of this server"
          hint="whoever runs it has it"
          problem={errors.code?.message}
          autoComplete="off"
          {...form.register('code')}
        />
      )}
      <Button look="go" type="submit" disabled={isSubmitting}>
        {isSubmitting ? 'Making your account' : 'Create account'}
      </Button>
    </form>
  );
}

type AtDoor = 'new' | 'known' | 'forgotten';
const headOf = {
  new: 'Create an account',
  known: 'Sign in',
  forgotten: 'A new password',
} as const;

/** The door: a new account, signing in, or the demo where the server offers it. */
export function Welcome({ demo, registration, sendsMail }: Omit<Me, 'account'>) {
  const takesNew = registration !== 'closed';
  const [at, setAt] = useState<AtDoor>(takesNew ? 'new' : 'known');
  const enter = useEnter();
  const door = useRef<HTMLElement>(null);
  const toSignIn = () => {
    flushSync(() => setAt('known'));
    door.current?.querySelector('input')?.focus();
  };
  const isAskedToJoin = useLocation().pathname.startsWith('/join/');
  const enterDemo = useMutation({ mutationFn: () => call(signInToDemo), onSuccess: enter });
  return (
    <main className="grid min-h-full content-start gap-x-24 gap-y-10 px-6 py-6 md:grid-cols-[minmax(0,30rem)_22rem] md:justify-center md:py-[9vh]">
      <div className="grid content-start gap-5">
        <div className="flex items-center justify-between">
          <KiteMark dark />
          {/* On a phone the form stands below all of this. */}
          {at === 'new' && (
            <button type="button" className="link min-h-11 px-2 md:hidden" onClick={toSignIn}>
              I have an account
            </button>
          )}
        </div>
        <h1 className="text-balance font-head text-[2.25rem] leading-[1.05] font-bold md:text-[2.75rem]">
          Put your work on the wall, and hold the string.
        </h1>
        <p className="max-w-[46ch] text-base leading-6 text-ink-2">
          From a heap of photos to a site that shows the work well. Nothing opens to anybody until you say so,
          and every change to your pages can be undone.
        </p>
        <HungPictures />
        {demo && (
          <div className="grid justify-items-start gap-2 border-t border-line pt-5">
            <Button look="ink" disabled={enterDemo.isPending} onClick={() => enterDemo.mutate()}>
              Look around as Wren, the demo maker
            </Button>
            <p className="note">One click, no account. What you change stays on this server.</p>
            {enterDemo.error && (
              <p className="field-problem" role="alert">
                {enterDemo.error.message}
              </p>
            )}
          </div>
        )}
      </div>
      <section
        ref={door}
        className="shadow-2 rounded-s [clip-path:none] grid content-start gap-4 self-start bg-raised p-6 md:row-span-2"
        aria-labelledby="door"
      >
        <h2 id="door">{headOf[at]}</h2>
        {isAskedToJoin && (
          <p className="rounded-m bg-sky-wash p-3">
            You have a link to join a class. With an account, or signed in, you read what it asks for.
          </p>
        )}
        {at === 'new' && <NewAccountForm needsCode={registration === 'code'} />}
        {at === 'known' && <SignInForm onSignedIn={(me) => void enter(me)} />}
        {at === 'forgotten' && <ForgottenForm />}
        {at === 'known' && (
          <p className="note">
            {sendsMail ? (
              <button type="button" className="link" onClick={() => setAt('forgotten')}>
                Forgotten the password
              </button>
            ) : (
              'A forgotten password: whoever runs this server can set another one.'
            )}
          </p>
        )}
        {(takesNew || at !== 'known') && (
          <p className="note">
            {at === 'known' ? 'No account yet?' : 'Been here before?'}{' '}
            <button type="button" className="link" onClick={() => setAt(at === 'known' ? 'new' : 'known')}>
              {at === 'known' ? 'Create one' : 'Sign in'}
            </button>
          </p>
        )}
        {!takesNew && <p className="note">This server takes no new accounts.</p>}
      </section>
      {/* It arrives later, so it stands where it moves nothing that somebody is about to press. */}
      <OpenSites />
    </main>
  );
}
