import { jest } from '@jest/globals';
import { notifyManager, QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import type { Patch } from '#contract/patch.ts';
import type { SiteState } from '#contract/site-state.ts';
import { firstLook } from '#core/look/look.ts';
import { SiteProvider } from '../api/site-context.tsx';
import { standInForBrowser } from './browser-stand-ins.ts';
import { firstArrangement } from '#core/sites/arrangement.ts';

/** A site without anything on it. */
export const emptySite: SiteState = {
  revision: 5,
  site: {
    id: 'site-0001',
    title: 'Wren makes',
    height: 'public',
    address: 'wren-makes',
    searchEngines: false,
    look: firstLook,
    evidenceWanted: 3,
    ...firstArrangement,
  },
  pages: [],
  materials: [],
  begun: [],
  history: { undo: null, redo: null },
  live: {
    release: null,
    readersReach: 'private',
    waiting: [],
    addressPath: null,
    siteLinkPath: null,
    pageLinkPaths: {},
  },
  limits: { fileBytes: 1e6, totalBytes: 1e7 },
};

/** What is answered after an edit, where nothing but the given is new. */
export const patchOf = (more: Partial<Patch> = {}): Patch => ({
  revision: 6,
  site: null,
  pages: {},
  materials: {},
  history: { undo: null, redo: null },
  live: emptySite.live,
  ...more,
});

export interface Asked {
  method: string;
  path: string;
  body: unknown;
}
type Answer = { status?: number; body: unknown } | 'no line';

/**
 * Draws something inside an open site, with a server that answers as the test says.
 *
 * @param answer of everything but the site itself; what it was asked is kept in `asked`
 */
export async function openSite(
  children: ReactNode,
  answer: (asked: Asked) => Answer | Promise<Answer> = () => ({ body: patchOf() }),
  state: SiteState = emptySite,
) {
  standInForBrowser();
  window.localStorage.clear();
  notifyManager.setScheduler((tell) => tell());
  const asked: Asked[] = [];
  globalThis.fetch = jest.fn(async (url: unknown, init?: RequestInit) => {
    const one: Asked = {
      method: init?.method ?? 'GET',
      path: String(url),
      body: typeof init?.body === 'string' ? (JSON.parse(init.body) as unknown) : null,
    };
    const isSite = one.method === 'GET' && one.path === `/api/sites/${state.site.id}`;
    if (!isSite) asked.push(one);
    const given = isSite ? { body: state } : await answer(one);
    if (given === 'no line') throw new TypeError('no line');
    const { status = 200, body } = given;
    return {
      ok: status < 400,
      status,
      json: () => Promise.resolve(structuredCloned(body)),
      headers: new Map(),
    } as unknown as Response;
  }) as typeof fetch;
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const user = userEvent.setup();
  const rooms = (
    <SiteProvider id={state.site.id}>
      <p>The site is open.</p>
      {children}
    </SiteProvider>
  );
  const studio = (inside: ReactNode) => (
    <QueryClientProvider client={client}>
      <MemoryRouter>{inside}</MemoryRouter>
    </QueryClientProvider>
  );
  const drawn = render(studio(rooms));
  await screen.findByText('The site is open.');
  return {
    asked,
    user,
    ...drawn,
    leave: () => drawn.rerender(studio(null)),
    comeBack: () => drawn.rerender(studio(rooms)),
  };
}

/** As it comes over the line: nobody changes what another one holds. */
const structuredCloned = (value: unknown): unknown => JSON.parse(JSON.stringify(value));
