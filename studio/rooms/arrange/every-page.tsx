import { memo, useState } from 'react';
import { Link } from 'react-router';
import { licenceName } from '#core/credits/licence-name.ts';
import { ownLicences } from '#core/pages/case-facts.ts';
import { useSite } from '../../api/site-context.tsx';
import { LanguageField } from '../../ui/language-field.tsx';
import { SelectField } from '../../ui/select.tsx';
import { WebAddressField } from '../../ui/web-address-field.tsx';
import { QuickLinks } from './quick-links.tsx';

/** How its maker can be reached from every page: by a form, at an address on the web, or not at all. */
function ContactField() {
  const { state, changeSite } = useSite();
  const { contact } = state.site;
  // Chosen, and no address is written yet.
  const [elsewhere, setElsewhere] = useState(false);
  const linked = elsewhere || (contact !== '' && contact !== 'form');
  const change = (next: typeof contact) => {
    if (next !== contact) changeSite({ contact: next }, 'Contact at the end of every page');
  };
  return (
    <div className="grid gap-2">
      <SelectField
        name="Contact"
        hint="at the end of every page"
        value={linked ? 'link' : contact}
        options={[
          { value: '', name: 'Nothing' },
          { value: 'form', name: 'A form to write to you' },
          { value: 'link', name: 'A link to where you are' },
        ]}
        onChange={(value) => {
          setElsewhere(value === 'link');
          change(value === 'form' ? 'form' : '');
        }}
      />
      {linked && (
        <WebAddressField
          label="Where you are"
          hint="a web address"
          value={contact === 'form' ? '' : contact}
          onChange={change}
        />
      )}
      {contact === 'form' && (
        <p className="note">
          Your address stands nowhere. What people write is in{' '}
          <Link className="link" to={`/${state.site.id}/feedback`}>
            Feedback
          </Link>
          .
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
