import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { leaveServer } from '#contract/account.ts';
import { call } from '../api/call.ts';
import { Button } from '../ui/button.tsx';
import { Field } from '../ui/field.tsx';
import { useAccountChange } from './use-account.ts';

type Typed = z.input<typeof leaveServer.body>;

/** Deletes the account, with days to think again. */
export function LeaveForm() {
  const [sure, setSure] = useState(false);
  const leave = useAccountChange((body: Typed) => call(leaveServer, { body }));
  const form = useForm<Typed>({ resolver: zodResolver(leaveServer.body) });
  const { errors } = form.formState;
  const submit = form.handleSubmit((body) => leave.mutate(body));
  if (!sure)
    return (
      <Button look="danger" className="justify-self-start" onClick={() => setSure(true)}>
        Delete my account
      </Button>
    );
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-3">
      <p>
        Every link of every site closes now, for everybody. In 14 days all of it is deleted for good: sites,
        files, messages. Until then you can sign in and keep it.
      </p>
      <Field
        label="Password of your account"
        type="password"
        autoComplete="current-password"
        problem={errors.password?.message ?? leave.error?.message}
        {...form.register('password')}
      />
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="ink" disabled={leave.isPending}>
          Close my links and delete my account
        </Button>
        <Button look="bare" onClick={() => setSure(false)}>
          Stay
        </Button>
      </div>
    </form>
  );
}
