import { zodResolver } from '@hookform/resolvers/zod';
import { useId, useState } from 'react';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { changeAddress, sendConfirmation, type WholeAccount } from '#contract/account.ts';
import { call, Refusal } from '../api/call.ts';
import { Button } from '../ui/button.tsx';
import { Field } from '../ui/field.tsx';
import { notice } from '../ui/notice.ts';
import { useAccountChange } from './use-account.ts';

type Typed = z.input<typeof changeAddress.body>;

/** The address as it is: confirmed, waiting to be, or about to be another one. */
function AddressNow({ account }: { account: WholeAccount }) {
  const { email, confirmed, coming, sendsMail } = account;
  const send = useAccountChange(() => call(sendConfirmation));
  return (
    <>
      <p>
        <b>{email}</b>
        {sendsMail && <span className="text-ink-2">{confirmed ? ', confirmed' : ', not confirmed yet'}</span>}
      </p>
      {!sendsMail && (
        <p className="note">
          This server sends no mail, so nobody can confirm it, and nothing is sent to it.
        </p>
      )}
      {coming !== null && (
        <p>
          A mail is on its way to <b>{coming}</b>. Your account goes by it once you open what is in that mail.
        </p>
      )}
      {sendsMail && (!confirmed || coming !== null) && (
        <Button
          small
          className="justify-self-start"
          disabled={send.isPending}
          onClick={() =>
            send.mutate(undefined, { onSuccess: () => notice(`A mail is on its way to ${coming ?? email}.`) })
          }
        >
          Send the mail again
        </Button>
      )}
      {send.error && (
        <p className="field-problem" role="alert">
          {send.error.message}
        </p>
      )}
    </>
  );
}

/** Where the account is reached, and another address for it. */
export function AddressForm({ account }: { account: WholeAccount }) {
  const [open, setOpen] = useState(false);
  const id = useId();
  const change = useAccountChange((body: Typed) => call(changeAddress, { body }));
  const form = useForm<Typed>({ resolver: zodResolver(changeAddress.body) });
  const { errors } = form.formState;
  const close = () => {
    form.reset();
    setOpen(false);
  };
  const submit = form.handleSubmit(async (body) => {
    try {
      const { coming } = await change.mutateAsync(body);
      notice(coming === null ? 'The address is changed.' : `A mail is on its way to ${coming}.`);
      close();
    } catch (error) {
      const about = error instanceof Refusal && error.problem.field === 'password' ? 'password' : 'email';
      form.setError(about, { message: error instanceof Error ? error.message : 'Try again.' });
    }
  });
  return (
    <>
      <AddressNow account={account} />
      {account.isDemo ? (
        <p className="note">The demo account keeps its address.</p>
      ) : (
        <Button
          className="justify-self-start"
          aria-expanded={open}
          aria-controls={id}
          onClick={() => (open ? close() : setOpen(true))}
        >
          Another address
        </Button>
      )}
      {open && (
        <form id={id} onSubmit={(event) => void submit(event)} noValidate className="grid gap-3">
          <Field
            label="New address"
            {...(account.coming !== null && { hint: 'the one before, if it should stay' })}
            type="email"
            autoComplete="email"
            problem={errors.email?.message}
            {...form.register('email')}
          />
          <Field
            label="Password of your account"
            type="password"
            autoComplete="current-password"
            problem={errors.password?.message}
            {...form.register('password')}
          />
          <div className="flex gap-2">
            <Button type="submit" look="ink" disabled={change.isPending}>
              Change the address
            </Button>
            <Button look="bare" onClick={close}>
              Leave it
            </Button>
          </div>
        </form>
      )}
    </>
  );
}
