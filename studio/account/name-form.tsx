import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import type { z } from 'zod';
import { changeName } from '#contract/account.ts';
import { call } from '../api/call.ts';
import { Button } from '../ui/button.tsx';
import { Field } from '../ui/field.tsx';
import { notice } from '../ui/notice.ts';
import { useAccountChange } from './use-account.ts';

type Typed = z.input<typeof changeName.body>;

/** What the maker goes by in the studio. */
export function NameForm({ name }: { name: string }) {
  const change = useAccountChange((body: Typed) => call(changeName, { body }));
  const form = useForm<Typed>({ resolver: zodResolver(changeName.body), defaultValues: { name } });
  const { errors } = form.formState;
  const submit = form.handleSubmit((body) =>
    change.mutate(body, { onSuccess: () => notice('The name is changed.') }),
  );
  return (
    <form onSubmit={(event) => void submit(event)} noValidate className="grid gap-3">
      <Field
        label="Your name"
        hint="initials are fine"
        autoComplete="nickname"
        problem={errors.name?.message ?? change.error?.message}
        {...form.register('name')}
      />
      <Button type="submit" className="justify-self-start" disabled={change.isPending}>
        Change the name
      </Button>
    </form>
  );
}
