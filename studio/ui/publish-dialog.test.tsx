/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { screen, waitFor, within } from '@testing-library/react';
import type { Outlook, PublishJob } from '#contract/publishing.ts';
import type { Live, SiteState } from '#contract/site-state.ts';
import type { Page } from '#core/pages/page.ts';
import { type Asked, emptySite, openSite, patchOf } from '../testing/open-site.tsx';
import { samplePage } from '../testing/sample-page.ts';
import { PublishDialog } from './publish-dialog.tsx';

const waits = (more: Partial<Live['waiting'][number]> = {}): Live['waiting'][number] => ({
  kind: 'changed',
  page: 'page-0001',
  title: 'Tide clock',
  what: ['title'],
  opening: false,
  parts: [],
  access: null,
  ...more,
});
const release = (number: number): Live['release'] => ({
  number,
  name: '',
  at: '2026-01-05T10:00:00Z',
  live: true,
});
const siteWith = (
  live: Partial<Live>,
  pages: Page[] = [samplePage()],
  height: Page['height'] = 'public',
): SiteState => ({
  ...emptySite,
  site: { ...emptySite.site, height },
  pages,
  live: { ...emptySite.live, readersReach: 'public', addressPath: '/wren-makes/', ...live },
});
const job = (more: Partial<PublishJob>): PublishJob => ({
  id: 'job-00001',
  state: 'running',
  step: 'Preparing pictures',
  done: 2,
  total: 8,
  message: null,
  live: null,
  ...more,
});
const free = { body: { free: true, why: '', alsoFree: [] } };
/** A server whose publish goes as the test says; how the site is asked for and addresses are checked is of no matter. */
const server =
  (
    of: (asked: Asked) => { body: unknown; status?: number },
    outlook: Outlook = { readers: [], needed: [] },
  ) =>
  (asked: Asked) => {
    if (asked.path.includes('/addresses/')) return free;
    return asked.path.endsWith('/publish/outlook') ? { body: outlook } : of(asked);
  };
const dialog = () => within(screen.getByRole('dialog'));
const publishing = (asked: readonly Asked[]) =>
  asked.filter(({ path }) => path.includes('/publish') && !path.endsWith('/outlook'));

describe('the publish dialog', () => {
  test('says who can open the site, what will change, and which release it would be', async () => {
    await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(() => ({ body: null })),
      siteWith({ release: release(3), waiting: [waits()] }),
    );
    expect(dialog().getByRole('button', { name: /^Height of the site: / }).textContent).toContain('Public');
    expect(dialog().getByText('title')).toBeTruthy();
    expect(dialog().getByRole('button', { name: 'Publish release 4' })).toBeTruthy();
  });

  test('with nothing waiting it says so, and there is nothing to press', async () => {
    await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(() => ({ body: null })),
      siteWith({ release: release(3) }),
    );
    expect(dialog().getByRole<HTMLButtonElement>('button', { name: 'Nothing to publish' }).disabled).toBe(
      true,
    );
    expect(dialog().getByText('Nothing: readers see everything as it is here.')).toBeTruthy();
  });

  test('a page that appears for the first time can be left out, and only it is', async () => {
    const state = siteWith({
      release: release(3),
      waiting: [
        waits(),
        waits({ kind: 'added', page: 'page-0002', title: 'Satchel', what: ['new page', 'Public'] }),
      ],
    });
    const { user, asked } = await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(() => {
        state.live = { ...state.live, release: release(4), waiting: [] };
        return { body: job({ state: 'done', live: state.live }) };
      }),
      state,
    );
    await user.click(dialog().getByRole('checkbox', { name: 'Publish Satchel' }));
    expect(dialog().getByText('not yet')).toBeTruthy();
    await user.type(dialog().getByLabelText(/^Name this release/), 'For the tutor');
    await user.click(dialog().getByRole('button', { name: 'Publish release 4' }));
    await screen.findByText('Release 4 is live');
    expect(publishing(asked)[0]?.body).toEqual({ name: 'For the tutor', staying: ['page-0002'] });
  });

  test('says who gains and who loses, and what is Needed, which holds nobody up', async () => {
    await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(() => ({ body: null }), {
        readers: [
          { reader: 'stranger', gains: ['Satchel'], loses: [] },
          { reader: { pass: 'Tutors' }, gains: [], loses: ['One', 'Two', 'Three', 'Four', 'Five', 'Six'] },
        ],
        needed: [{ page: 'page-0001', title: 'Tide clock', needs: [{ kind: 'alt', count: 2 }] }],
      }),
      siteWith({ release: release(3), waiting: [waits()] }),
    );
    expect(await dialog().findByText('1 page more: Satchel')).toBeTruthy();
    expect(dialog().getByText('6 pages less: One, Two, Three, Four and 2 more')).toBeTruthy();
    expect(dialog().getByRole('note').textContent).toContain('Tide clock: 2 pictures without alt text');
    expect(dialog().getByRole('button', { name: 'Publish release 4 anyway' })).toBeTruthy();
  });

  test('a changed page can be left as readers have it; with all of them left there is nothing to press', async () => {
    const { user } = await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(() => ({ body: null })),
      siteWith({ release: release(3), waiting: [waits()] }),
    );
    await user.click(dialog().getByRole('checkbox', { name: 'Publish Tide clock' }));
    expect(dialog().getByText('stays as readers have it')).toBeTruthy();
    expect(dialog().getByRole<HTMLButtonElement>('button', { name: 'Nothing to publish' }).disabled).toBe(
      true,
    );
  });

  test('on the way it says how far it is, cannot be closed, and can be stopped', async () => {
    let state: PublishJob['state'] = 'running';
    let closed = 0;
    const { user, asked } = await openSite(
      <PublishDialog open onClose={() => closed++} />,
      server(({ method }) => {
        if (method === 'DELETE') state = 'cancelled';
        return {
          body: job({ state, message: state === 'cancelled' ? 'Stopped. Readers see what they saw.' : null }),
        };
      }),
      siteWith({ release: release(3), waiting: [waits()] }),
    );
    await user.click(dialog().getByRole('button', { name: 'Publish release 4' }));
    expect((await dialog().findByRole('status')).textContent).toContain('Preparing pictures: 2 of 8');
    await user.keyboard('{Escape}');
    expect([closed, dialog().getByRole<HTMLButtonElement>('button', { name: 'Close' }).disabled]).toEqual([
      0,
      true,
    ]);
    await user.click(dialog().getByRole('button', { name: 'Stop' }));
    expect((await dialog().findByRole('alert', {}, { timeout: 3000 })).textContent).toBe(
      'Stopped. Readers see what they saw.',
    );
    expect(publishing(asked).map(({ method }) => method)).toContain('DELETE');
  });

  test('one that failed says why and may be tried again', async () => {
    const { user } = await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(() => ({
        status: 507,
        body: { code: 'disk', message: 'The disk is full. Nothing was changed.' },
      })),
      siteWith({ release: release(3), waiting: [waits()] }),
    );
    await user.click(dialog().getByRole('button', { name: 'Publish release 4' }));
    expect((await dialog().findByRole('alert')).textContent).toBe('The disk is full. Nothing was changed.');
    expect(dialog().getByRole<HTMLButtonElement>('button', { name: 'Publish release 4' }).disabled).toBe(
      false,
    );
  });

  test('done, it hands on the link that works', async () => {
    const { user } = await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(() => ({
        body: job({
          state: 'done',
          live: {
            ...emptySite.live,
            release: release(1),
            readersReach: 'unlisted',
            siteLinkPath: '/l/key-1/',
          },
        }),
      })),
      // What is fetched again when it is done is as the server has it then.
      siteWith(
        {
          release: release(1),
          readersReach: 'unlisted',
          addressPath: null,
          siteLinkPath: '/l/key-1/',
          waiting: [waits()],
        },
        [samplePage()],
        'unlisted',
      ),
    );
    await user.click(dialog().getByRole('button', { name: 'Publish release 2' }));
    const link = await dialog().findByRole<HTMLInputElement>('textbox', { name: 'Link for readers' });
    expect(link.value).toBe(`${window.location.origin}/l/key-1/`);
    expect(dialog().getByRole('status').textContent).toContain('Anyone with this link can open it.');
    expect(dialog().getByRole('link', { name: 'See what readers see' }).getAttribute('href')).toBe(
      '/l/key-1/',
    );
  });

  test('publishes nothing while something its maker wrote is not saved', async () => {
    const { user, asked } = await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(({ method }) =>
        method === 'PATCH'
          ? { status: 409, body: { code: 'newer', message: 'Changed elsewhere.', details: { revision: 9 } } }
          : { body: job({ state: 'done' }) },
      ),
      siteWith({ release: release(3), waiting: [waits()] }, [samplePage({ height: 'private' })]),
    );
    await user.click(dialog().getByRole('button', { name: /^Publish it too/ }));
    await user.click(dialog().getByRole('button', { name: 'Publish release 4' }));
    expect((await dialog().findByRole('alert')).textContent).toMatch(/not saved yet/);
    expect(publishing(asked)).toEqual([]);
  });

  test('projects that are Private stay out, each with the way in', async () => {
    const { user, asked } = await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(() => ({
        body: { ...patchOf({ pages: { 'page-0001': samplePage({ height: 'public' }) } }), joined: false },
      })),
      siteWith({ release: release(3) }, [samplePage({ height: 'private' })]),
    );
    await user.click(dialog().getByRole('button', { name: /^Publish it too ?: Tide clock$/ }));
    await waitFor(
      () =>
        expect(asked.find(({ method }) => method === 'PATCH')?.body).toMatchObject({
          change: { height: 'public' },
          was: { height: 'private' },
        }),
      { timeout: 3000 },
    );
  });

  test('a Private site may be published, and is told to open for nobody', async () => {
    await openSite(
      <PublishDialog open onClose={() => {}} />,
      server(() => ({ body: null })),
      siteWith({ waiting: [waits({ kind: 'added' })] }, [samplePage()], 'private'),
    );
    expect(dialog().getByText(/While the site is Private, nobody can open what you publish/)).toBeTruthy();
  });
});
