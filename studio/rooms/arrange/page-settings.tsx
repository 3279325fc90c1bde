import { useState } from 'react';
import { type Page, pageFieldsSchema } from '#core/pages/page.ts';
import { reservedSlugs } from '#core/pages/reserved-slugs.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { Field } from '../../ui/field.tsx';
import { LanguageField, languageName } from '../../ui/language-field.tsx';
import { WebAddressField } from '../../ui/web-address-field.tsx';
import { pagePath } from '../../pages/page-path.ts';

const slugSchema = pageFieldsSchema.shape.slug;

/** Its own part of a page's address; what cannot be one stays in the field and says why. */
function SlugField({ page }: { page: Page }) {
  const { state, changePage } = useSite();
  const [typed, setTyped] = useState(page.slug);
  const [problem, setProblem] = useState<string>();
  const settle = () => {
    const slug = slugSchema.safeParse(typed.trim().toLowerCase());
    const taken = state.pages.some(
      (one) => one.id !== page.id && rulesOfPage(one).opens && one.slug === slug.data,
    );
    if (!slug.success) return setProblem(slug.error.issues[0]?.message ?? 'This cannot be an address.');
    if (reservedSlugs.has(slug.data))
      return setProblem('This address is kept for the site’s own files and pages.');
    if (taken) return setProblem('Another page of this site has this address.');
    setProblem(undefined);
    setTyped(slug.data);
    if (slug.data !== page.slug)
      changePage(page.id, { slug: slug.data }, `Address of ${pageName(page)}`, `${page.id} slug`);
  };
  return (
    <div>
      <Field
        label="Its own part of the address"
        hint="small letters, digits, hyphens"
        value={typed}
        maxLength={80}
        spellCheck={false}
        problem={problem}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={settle}
        onKeyDown={(event) => event.key === 'Enter' && settle()}
      />
      <p className="note mt-1 font-mono break-all">{pagePath(state, page)}</p>
      <p className="note mt-1">
        Readers get the new address with the next publish; the old one leads on to it.
      </p>
    </div>
  );
}

/** What a page is called and where it is found; of a link, where it leads. */
export function PageSettings({ page, onClose }: { page: Page; onClose: () => void }) {
  const { state, changePage } = useSite();
  const { isFront, opens, name } = rulesOfPage(page);
  const change = (wanted: Partial<Page>, what: string) =>
    changePage(page.id, wanted, `${what} of ${pageName(page)}`, `${page.id} ${what}`);
  return (
    <Dialog title={pageName(page)} onClose={onClose}>
      <div className="grid gap-4">
        {!isFront && (
          <Field
            label="Name"
            hint={opens ? 'its title, and what the menu calls it' : 'what the menu calls it'}
            value={page.title}
            maxLength={160}
            placeholder={name}
            onChange={(event) => change({ title: event.target.value }, 'Name')}
          />
        )}
        {page.kind === 'link' && (
          <>
            <WebAddressField
              label="Where it leads"
              hint="a web address"
              value={page.leadsTo}
              onChange={(leadsTo) => change({ leadsTo }, 'Address')}
            />
            <label className="check">
              <input
                type="checkbox"
                checked={page.newWindow}
                onChange={(event) => change({ newWindow: event.target.checked }, 'Window')}
              />
              Open it in a new window
            </label>
          </>
        )}
        {opens && !isFront && <SlugField key={page.id} page={page} />}
        {opens && (
          <LanguageField
            name="Language"
            value={page.language}
            none={`As the site: ${languageName(state.site.language)}`}
            onChange={(language) => change({ language }, 'Language')}
          />
        )}
        {isFront && (
          <p className="note">
            The front page stands at the site’s own address. Its words are changed where it is composed.
          </p>
        )}
      </div>
      <p className="mt-5">
        <Button look="ink" onClick={onClose}>
          Done
        </Button>
      </p>
    </Dialog>
  );
}
