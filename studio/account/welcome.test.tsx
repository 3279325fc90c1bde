/** @jest-environment ./build/document.jest.js */
import { describe, expect, jest, test } from '@jest/globals';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import type { Me } from '#contract/account.ts';
import { Welcome } from './welcome.tsx';

type Answer = { status?: number; body: unknown };

/** The door, with a server that answers as the test says. */
function atTheDoor(
  answer: (path: string, body: unknown) => Answer,
  demo = false,
  registration: Me['registration'] = 'open',
) {
  const asked: { path: string; body: unknown }[] = [];
  globalThis.fetch = jest.fn((url: unknown, init?: RequestInit) => {
    const path = String(url);
    const body = typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : null;
    if (!isList(path)) asked.push({ path, body });
    const given = answer(path, body);
    const status = given.status ?? 200;
    const reply = { ok: status < 400, status, json: () => Promise.resolve(given.body), headers: new Map() };
    return Promise.resolve(reply as unknown as Response);
  }) as typeof fetch;
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  render(
    <QueryClientProvider client={client}>
      <MemoryRouter>
        <Welcome demo={demo} registration={registration} sendsMail />
      </MemoryRouter>
    </QueryClientProvider>,
  );
  return { asked, client, user: userEvent.setup() };
}
const isList = (path: string) => path === '/api/public-sites';
const noSites = { body: { sites: [], found: 0, next: null, fields: [], tags: [] } };
const wren = { account: { id: 'account-1', name: 'Wren', email: 'wren@demo.example' }, demo: false };
const fill = async (user: ReturnType<typeof userEvent.setup>, password: string) => {
  await user.type(screen.getByLabelText(/^Name your work/), 'Wren');
  await user.type(screen.getByLabelText('E-mail'), 'wren@demo.example');
  await user.type(screen.getByLabelText(/^Password/), password);
  await user.click(screen.getByRole('button', { name: 'Create account' }));
};

describe('the door', () => {
  test('a new account is made from a name, an address and a password, and opens the studio', async () => {
    const { user, asked, client } = atTheDoor((path) => (isList(path) ? noSites : { body: wren }));
    await fill(user, 'a long enough password');
    await waitFor(() => expect(client.getQueryData(['me'])).toEqual(wren));
    expect(asked).toEqual([
      {
        path: '/api/accounts',
        body: { name: 'Wren', email: 'wren@demo.example', password: 'a long enough password' },
      },
    ]);
  });

  test('an answer to who this is that was asked for before and comes after does not sign out again', async () => {
    const { user, client } = atTheDoor((path) => (isList(path) ? noSites : { body: wren }));
    let late = (_: unknown): void => {};
    const asking = client.fetchQuery({
      queryKey: ['me'],
      queryFn: () => new Promise((resolve) => (late = resolve)),
    });
    asking.catch(() => undefined);
    await fill(user, 'a long enough password');
    await waitFor(() => expect(client.getQueryData(['me'])).toEqual(wren));
    late({ account: null, demo: true });
    await asking.catch(() => undefined);
    expect(client.getQueryData(['me'])).toEqual(wren);
  });

  test('what cannot be sent is said at its field, and nothing is', async () => {
    const { user, asked } = atTheDoor(() => noSites);
    await fill(user, 'short');
    expect((await screen.findByRole('alert')).textContent).toMatch(/12/);
    expect(screen.getByLabelText(/^Password/).getAttribute('aria-invalid')).toBe('true');
    expect(asked).toEqual([]);
  });

  test('an address that has an account already is told beside the address', async () => {
    const { user } = atTheDoor((path) =>
      isList(path)
        ? noSites
        : {
            status: 409,
            body: { code: 'known', field: 'email', message: 'This address has an account. Sign in.' },
          },
    );
    await fill(user, 'a long enough password');
    await screen.findByText('This address has an account. Sign in.');
    expect(screen.getByLabelText('E-mail').getAttribute('aria-invalid')).toBe('true');
  });

  test('who was here before signs in; a wrong password says so and keeps the address', async () => {
    const { user } = atTheDoor((path) =>
      isList(path)
        ? noSites
        : { status: 401, body: { code: 'wrong', message: 'The address or the password is wrong.' } },
    );
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    await user.type(screen.getByLabelText('E-mail'), 'wren@demo.example');
    await user.type(screen.getByLabelText('Password'), 'not this one at all');
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    await screen.findByText('The address or the password is wrong.');
    expect(screen.getByLabelText<HTMLInputElement>('E-mail').value).toBe('wren@demo.example');
  });

  test('the demo is one press, pressed twice it is entered once, and is offered only where there is one', async () => {
    let go = () => {};
    const { user, asked } = atTheDoor((path) => {
      if (isList(path)) return noSites;
      return { body: new Promise((resolve) => (go = () => resolve(wren))) };
    }, true);
    const demo = screen.getByRole<HTMLButtonElement>('button', { name: /demo maker/ });
    await user.dblClick(demo);
    expect(asked).toHaveLength(1);
    go();
  });

  test('sites that are open to everyone are led to, a part of the list at a time', async () => {
    const { user } = atTheDoor((_path, body) => {
      const { from } = body as { from: number };
      const sites = [
        {
          title: `Wren makes ${from}`,
          path: `/wren-makes-${from}/`,
          by: 'Wren Ode',
          fields: ['Clocks'],
          tags: [],
        },
      ];
      const next = from === 0 ? 40 : null;
      return { body: { sites, found: 80, next, fields: [{ name: 'Clocks', sites: 80 }], tags: [] } };
    });
    const link = await screen.findByRole('link', { name: 'Wren makes 0' });
    expect(link.getAttribute('href')).toBe('/wren-makes-0/');
    expect(screen.queryByRole('button', { name: /demo maker/ })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'More sites' }));
    await screen.findByRole('link', { name: 'Wren makes 40' });
    expect(screen.getByRole('link', { name: 'Wren makes 0' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'More sites' })).toBeNull();
  });

  test('sites are found by words and by field, and it is said when there is none', async () => {
    const { user } = atTheDoor((_path, body) => {
      const { words, field } = body as { words: string; field: string };
      const sites = [
        { title: 'Wren makes', path: '/wren-makes/', by: '', fields: ['Clocks'], tags: ['brass'] },
      ];
      const found = words === 'zebra' ? 0 : field === 'Clocks' ? 1 : 20;
      return {
        body: {
          ...{ sites: found === 0 ? [] : sites, found, next: null },
          ...{ fields: [{ name: 'Clocks', sites: 1 }], tags: [] },
        },
      };
    });
    await user.selectOptions(await screen.findByLabelText('Field'), 'Clocks');
    await screen.findByText('1 site found');
    expect(screen.queryByLabelText('Tag')).toBeNull();
    await user.type(screen.getByLabelText('Find a site'), 'zebra');
    await screen.findByText('No site here has all of that.');
    expect(screen.getByLabelText<HTMLInputElement>('Find a site').value).toBe('zebra');
  });
});
