/** @jest-environment ./build/document.jest.js */
import { expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { type Asked, emptySite, openSite, patchOf } from '../testing/open-site.tsx';
import { SiteNameField } from './site-name-field.tsx';

const field = () => screen.getByRole<HTMLInputElement>('textbox', { name: /^Name of the site/ });
const server = ({ body }: Asked) => ({
  body: {
    ...patchOf({ site: { ...emptySite.site, ...(body as { change: object }).change } }),
    joined: false,
  },
});

test('the name of the site is saved as it is typed, as one step', async () => {
  const { user, asked } = await openSite(<SiteNameField />, server);
  await user.clear(field());
  await user.type(field(), 'Juniper Vale ');
  await waitFor(() => expect(asked.length).toBeGreaterThan(0), { timeout: 3000 });
  expect(asked.at(-1)?.body).toMatchObject({
    change: { title: 'Juniper Vale' },
    // The same at every letter, or each were a step of its own.
    mergeKey: 'site title Name of the site',
  });
  await user.tab();
  expect(field().value).toBe('Juniper Vale');
});

test('a site is never without a name: an empty field says so, saves nothing, and goes back', async () => {
  const { user, asked } = await openSite(<SiteNameField />, server);
  await user.clear(field());
  expect(screen.getByRole('alert').textContent).toBe('A site needs a name.');
  expect(field().getAttribute('aria-invalid')).toBe('true');
  await user.tab();
  expect(field().value).toBe(emptySite.site.title);
  expect(screen.queryByRole('alert')).toBeNull();
  expect(asked).toEqual([]);
});
