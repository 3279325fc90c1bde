/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { screen, waitFor } from '@testing-library/react';
import { type Asked, emptySite, openSite, patchOf } from '../testing/open-site.tsx';
import { SiteAddressField } from './site-address-field.tsx';

const field = () => screen.getByRole<HTMLInputElement>('textbox');
const use = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Use it' });
/** Everything is free but what stands in `taken`. */
const server =
  (...taken: string[]) =>
  ({ method, path, body }: Asked) => {
    if (method === 'PATCH')
      return {
        body: {
          ...patchOf({ site: { ...emptySite.site, ...(body as { change: object }).change } }),
          joined: false,
        },
      };
    const address = path.split('/').at(-1) ?? '';
    const free = !taken.includes(address);
    return {
      body: { free, why: free ? '' : 'Somebody else has it.', alsoFree: free ? [] : [`${address}-makes`] },
    };
  };
const unnamed = { ...emptySite, site: { ...emptySite.site, address: null } };

describe('the address of a site', () => {
  test('is offered from its name, and taken only when its maker says so', async () => {
    const { user, asked } = await openSite(<SiteAddressField />, server(), unnamed);
    expect(field().value).toBe('wren-makes');
    await screen.findByText('free');
    expect(asked.some(({ method }) => method === 'PATCH')).toBe(false);
    await user.click(use());
    await waitFor(() => expect(asked.some(({ method }) => method === 'PATCH')).toBe(true), { timeout: 3000 });
    expect(asked.find(({ method }) => method === 'PATCH')?.body).toMatchObject({
      change: { address: 'wren-makes' },
      was: { address: null },
    });
    await screen.findByText('in use by this site');
  });

  test('that somebody has is told beside the field, with others that are free; one press takes one of them', async () => {
    const { user, asked } = await openSite(<SiteAddressField />, server('wren-makes'), unnamed);
    await screen.findByText('Somebody else has it.');
    expect([use().disabled, field().getAttribute('aria-invalid')]).toEqual([true, 'true']);
    await user.click(screen.getByRole('button', { name: 'wren-makes-makes' }));
    await waitFor(
      () =>
        expect(asked.find(({ method }) => method === 'PATCH')?.body).toMatchObject({
          change: { address: 'wren-makes-makes' },
        }),
      { timeout: 3000 },
    );
  });

  test('is written as addresses are while it is typed, and asked about once the typing pauses', async () => {
    const { user, asked } = await openSite(<SiteAddressField />, server(), unnamed);
    await user.clear(field());
    await user.type(field(), 'Wren Makes_things');
    expect(field().value).toBe('wren-makes-things');
    expect(use().disabled).toBe(true);
    await waitFor(() => expect(use().disabled).toBe(false), { timeout: 3000 });
    const paths = asked.map(({ path }) => path.split('/').at(-1));
    expect(paths.at(-1)).toBe('wren-makes-things');
    expect(paths.length).toBeLessThan(5);
  });
});
