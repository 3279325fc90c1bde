import { zodResolver } from '@hookform/resolvers/zod';
import { useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import type { z } from 'zod';
import { createSite } from '#contract/sites.ts';
import { call } from '../api/call.ts';
import { Field } from '../ui/field.tsx';
import { KiteMark } from '../ui/kite-mark.tsx';
import { Button } from '../ui/button.tsx';

/** The first thing after an account, and later the way to another site: a name for it. */
export function NameSite() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const form = useForm<z.input<typeof createSite.body>>({ resolver: zodResolver(createSite.body) });
  const { errors, isSubmitting } = form.formState;
  const submit = form.handleSubmit(async (body) => {
    try {
      const site = await call(createSite, { body });
      await client.invalidateQueries({ queryKey: ['sites'] });
      await navigate(`/${site.id}/projects`, { replace: true });
    } catch (error) {
      form.setError('title', { message: error instanceof Error ? error.message : 'Try again.' });
    }
  });
  return (
    <main className="grid min-h-full place-content-center gap-5 p-6">
      <KiteMark dark />
      <h1>Name your site</h1>
      <p className="max-w-[44ch] text-ink-2">
        It stands at the top of every page. A first name or initials will do; you can change it in Share.
      </p>
      <form onSubmit={(event) => void submit(event)} noValidate className="grid max-w-sm gap-4">
        <Field
          label="Name of the site"
          placeholder="For example: Wren makes"
          problem={errors.title?.message}
          {...form.register('title')}
        />
        <Button type="submit" look="go" className="justify-self-start" disabled={isSubmitting}>
          Start the site
        </Button>
      </form>
      <p className="note">
        The site is Private: nobody else can see anything until you raise it and publish.
      </p>
    </main>
  );
}
