import { useState } from 'react';
import { siteContentSchema } from '#core/sites/site.ts';
import { useSite } from '../api/site-context.tsx';
import { Field } from './field.tsx';

const nameSchema = siteContentSchema.shape.title;

/** What the site is called, at the top of every page; what cannot be its name stays in the field and says why. */
export function SiteNameField() {
  const { state, changeSite } = useSite();
  const { title } = state.site;
  const [typed, setTyped] = useState<string | null>(null);
  const read = nameSchema.safeParse(typed ?? title);
  return (
    <Field
      label="Name of the site"
      hint="on top of every page"
      value={typed ?? title}
      problem={read.success ? undefined : read.error.issues[0]?.message}
      onChange={(event) => {
        setTyped(event.target.value);
        const now = nameSchema.safeParse(event.target.value);
        if (now.success && now.data !== title) changeSite({ title: now.data }, 'Name of the site');
      }}
      // What could be taken was; what could not goes back to the name it has.
      onBlur={() => setTyped(null)}
    />
  );
}
