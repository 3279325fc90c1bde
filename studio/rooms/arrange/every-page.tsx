import { memo, useState } from 'react';
import { z } from 'zod';
import { webAddressSchema } from '#contract/web-address.ts';
import { licenceName } from '#core/credits/licence-name.ts';
import { ownLicences } from '#core/pages/case-facts.ts';
import { useSite } from '../../api/site-context.tsx';
import { Field } from '../../ui/field.tsx';
import { LanguageField } from '../../ui/language-field.tsx';
import { SelectField } from '../../ui/select.tsx';
import { QuickLinks } from './quick-links.tsx';

const email = z.email();

/** An e-mail or a web address at the end of every page; what is neither stays in the field and says so. */
function ContactField() {
  const { state, changeSite } = useSite();
  const { contact } = state.site;
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const settle = () => {
    if (typed === null) return;
    const text = typed.trim();
    const address =
      text.includes('@') && !text.includes('/') ? email.safeParse(text) : webAddressSchema.safeParse(text);
    if (text !== '' && !address.success)
      return setProblem('This is no e-mail address, and no web address either.');
    setProblem(undefined);
    setTyped(null);
    const next = text === '' ? '' : (address.data ?? '');
    if (next !== contact) changeSite({ contact: next }, 'Contact at the end of every page');
  };
  return (
    <div>
      <Field
        label="Contact"
        hint="an e-mail or web address, or nothing"
        value={typed ?? contact}
        problem={problem}
        maxLength={2000}
        spellCheck={false}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={settle}
        onKeyDown={(event) => event.key === 'Enter' && settle()}
      />
      {contact.includes('@') && !contact.includes('://') && (
        <p className="note mt-1">
          Everybody who can open a page can read this address in it, programs that collect addresses too.
        </p>
      )}
    </div>
  );
}

/** What stands on every page of the site: its language, how to reach its maker, the terms of the work, links. */
export const EveryPage = memo(function EveryPage() {
  const { state, changeSite } = useSite();
  const { language, rights } = state.site;
  return (
    <section aria-labelledby="every-page-title" className="grid gap-3">
      <h2 id="every-page-title" className="text-l">
        On every page
      </h2>
      <QuickLinks />
      <LanguageField
        name="Language of the site"
        hint="a page can have its own"
        value={language}
        onChange={(wanted) => wanted && changeSite({ language: wanted }, 'Language of the site')}
      />
      <ContactField />
      <SelectField
        name="Terms of your own work"
        hint="a project can have its own"
        value={rights ?? ''}
        options={[
          { value: '', name: 'Nothing is said' },
          ...ownLicences.map((licence) => ({ value: licence as string, name: licenceName(licence) })),
        ]}
        onChange={(value) =>
          changeSite(
            { rights: ownLicences.find((licence) => licence === value) ?? null },
            'Terms of the work on the site',
          )
        }
      />
    </section>
  );
});
