/** @jest-environment ./build/document.jest.js */
import { describe, expect, test } from '@jest/globals';
import { render, screen } from '@testing-library/react';
import type { Live, SiteState } from '#contract/site-state.ts';
import type { Page, PageOf } from '#core/pages/page.ts';
import { emptySite, openSite } from '../testing/open-site.tsx';
import { samplePage } from '../testing/sample-page.ts';
import { DifferenceList } from './difference-list.tsx';
import { PageState } from './page-state.tsx';

const page = samplePage();
const released: Live['release'] = { number: 3, name: '', at: '2026-01-05T10:00:00Z', live: true };
const waiting: Live['waiting'][number] = {
  kind: 'changed',
  page: page.id,
  title: 'Tide clock',
  what: ['title', 'words rewritten'],
  opening: false,
  parts: [],
  access: null,
};
const siteWith = (
  live: Partial<Live>,
  ofPage: Partial<PageOf<'project'>> = {},
  height: Page['height'] = 'public',
): SiteState => ({
  ...emptySite,
  site: { ...emptySite.site, height },
  pages: [{ ...page, ...ofPage }],
  live: { ...emptySite.live, ...live },
});

describe('where a page stands between draft and readers', () => {
  test.each<[string, SiteState, string]>([
    ['nothing was ever published', siteWith({}), 'Draft'],
    ['readers have it', siteWith({ release: released, readersReach: 'public' }), 'As readers see it'],
    [
      'it was changed since',
      siteWith({ release: released, readersReach: 'public', waiting: [waiting] }),
      '2 edits waiting',
    ],
    [
      'one thing was changed since',
      siteWith({ release: released, readersReach: 'public', waiting: [{ ...waiting, what: ['title'] }] }),
      '1 edit waiting',
    ],
    [
      'it is new since',
      siteWith({ release: released, readersReach: 'public', waiting: [{ ...waiting, kind: 'added' }] }),
      'Draft',
    ],
    [
      'it is Private',
      siteWith({ release: released, readersReach: 'public' }, { height: 'private' }),
      'Draft',
    ],
    ['it is put away', siteWith({ release: released, readersReach: 'public' }, { archived: true }), 'Draft'],
    [
      'the whole site was closed',
      siteWith({ release: released, readersReach: 'private' }, {}, 'unlisted'),
      'Closed, with the site',
    ],
  ])('%s', async (_, state, said) => {
    const { container } = await openSite(
      <p data-testid="state">
        <PageState page={state.pages[0] ?? page} />
      </p>,
      undefined,
      state,
    );
    expect(container.querySelector('[data-testid=state]')?.textContent?.trim()).toBe(said);
  });
});

describe('what publishing would change', () => {
  test('is a line for each page, with who can open more or less of it', () => {
    render(
      <DifferenceList
        list={[
          waiting,
          {
            ...waiting,
            page: 'page-0002',
            title: 'Bee hotel',
            access: { before: 'public', after: 'unlisted' },
          },
          {
            ...waiting,
            page: 'page-0003',
            title: 'Lamp',
            kind: 'added',
            what: ['3 pictures', 'Public'],
            access: { before: 'private', after: 'public' },
          },
          {
            ...waiting,
            page: null,
            title: 'The whole site',
            what: ['Private becomes Public'],
            access: { before: 'private', after: 'public' },
          },
        ]}
      />,
    );
    expect(screen.getAllByRole('listitem').map((line) => line.textContent)).toEqual([
      'ChangedTide clock title, words rewritten',
      'ChangedBee hotel title, words rewrittenFrom Public to Unlisted',
      'AddedLamp 3 pictures, Public',
      'ChangedThe whole site Private becomes Public',
    ]);
  });
});
