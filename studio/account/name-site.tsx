import { zodResolver } from '@hookform/resolvers/zod';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { useForm } from 'react-hook-form';
import { Link, useLocation, useNavigate } from 'react-router';
import { z } from 'zod';
import { takeStarter } from '#contract/site-starters.ts';
import { createSite } from '#contract/sites.ts';
import { type SiteStarterKey, siteStarterOf } from '#core/sites/site-starters.ts';
import { call } from '../api/call.ts';
import { StarterChooser } from '../starters/starter-chooser.tsx';
import { Field } from '../ui/field.tsx';
import { problemNotice } from '../ui/notice.ts';
import { KiteMark } from '../ui/kite-mark.tsx';
import { Button } from '../ui/button.tsx';

const cameFor = z.object({ then: z.string().startsWith('/').optional() });

/** The first thing after an account, and later the way to another site: a name for it. */
export function NameSite() {
  const client = useQueryClient();
  const navigate = useNavigate();
  // Whoever needed a site for something goes on with that.
  const { then } = cameFor.catch({}).parse(useLocation().state ?? {});
  const form = useForm<z.input<typeof createSite.body>>({ resolver: zodResolver(createSite.body) });
  const { errors, isSubmitting } = form.formState;
  const [starter, setStarter] = useState<SiteStarterKey | null>(null);
  const making = useRef(false);
  const submit = form.handleSubmit(async (body) => {
    try {
      const site = await call(createSite, { body });
      // The site is there by now: it is not made again because its pages could not be.
      if (starter)
        await call(takeStarter, {
          params: { site: site.id },
          body: { starter, arranged: true, pages: siteStarterOf(starter).pages.map(({ key }) => key) },
        }).catch(() =>
          problemNotice(
            'The site is there, but without its starter: take it over in Arrange, with “Add a page”.',
          ),
        );
      await client.invalidateQueries({ queryKey: ['sites'] });
      await navigate(then ?? `/${site.id}/${starter ? 'arrange' : 'projects'}`, { replace: true });
    } catch (error) {
      form.setError('title', { message: error instanceof Error ? error.message : 'Try again.' });
    }
  });
  return (
    <main className="mx-auto grid min-h-full max-w-[60rem] content-center gap-5 p-6">
      <KiteMark dark />
      <h1>Name your site</h1>
      <p className="max-w-[44ch] text-ink-2">
        It stands at the top of every page. A first name or initials will do; you can change it in Share.
      </p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          // Two presses may come before the button is drawn as one that cannot be pressed.
          if (making.current) return;
          making.current = true;
          void submit(event).finally(() => {
            making.current = false;
          });
        }}
        noValidate
        className="grid gap-5"
      >
        <div className="max-w-sm">
          <Field
            label="Name of the site"
            placeholder="For example: Wren makes"
            problem={errors.title?.message}
            {...form.register('title')}
          />
        </div>
        <StarterChooser
          value={starter}
          none={{ name: 'Nothing', suits: 'An empty front page; everything else as you go.' }}
          onChange={setStarter}
        />
        <Button type="submit" look="go" className="justify-self-start" disabled={isSubmitting}>
          Start the site
        </Button>
      </form>
      <p className="note">
        The site is Private: nobody else can see anything until you raise it and publish. If you teach and
        want none, go to{' '}
        <Link className="link" to="/groups">
          your groups
        </Link>
        .
      </p>
    </main>
  );
}
