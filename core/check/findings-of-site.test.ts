import { describe, expect, test } from '@jest/globals';
import type { LinkState } from '../materials/link.ts';
import type { ShownPage } from '../pages/page.ts';
import { samplePage as page } from '../pages/sample-page.ts';
import { newPart } from '../parts/new-part.ts';
import { nothingGivenOut } from './given-out.ts';
import { findingsOfSite } from './findings-of-site.ts';

const english = {
  ...{
    language: 'en' as const,
    underAge: false,
    today: '2026-11-30',
    givenOut: nothingGivenOut,
    inside: {},
    people: [],
    quickLinks: [],
    answers: new Map(),
  },
  ...{ materials: new Map(), offWall: [], address: null },
};
const of = (pages: ShownPage[], offWall: string[] = [], address: string | null = null) =>
  findingsOfSite({ ...english, offWall, address, pages });
const rulesOn = (pages: ShownPage[], offWall?: string[]) =>
  [...of(pages, offWall)].map(([id, found]) => [id, ...found.map(({ rule }) => rule)]);

describe('pages that nothing leads to', () => {
  const front = page('the-front', 'home');
  test('stand at the top, in no menu and not on the front page', () => {
    const clock = page('the-clock', 'project');
    const notes = page('the-notes', 'plain', { inMenu: false });
    expect(rulesOn([front, clock])).toEqual([]);
    expect(rulesOn([front, clock, notes], ['the-clock'])).toEqual([
      ['the-clock', 'off-the-way'],
      ['the-notes', 'off-the-way'],
    ]);
    // In the menu after all.
    expect(rulesOn([front, { ...clock, inMenu: true } as ShownPage], ['the-clock'])).toEqual([]);
  });
  test('but not those below another, those that are Private, nor a résumé that About leads to', () => {
    const away = { inMenu: false };
    const about = page('the-about', 'about');
    const resume = page('the-resume', 'resume', away);
    expect(rulesOn([front, page('the-notes', 'plain', { ...away, parent: 'the-group' })])).toEqual([]);
    expect(rulesOn([front, page('the-notes', 'plain', { ...away, height: 'private' })])).toEqual([]);
    expect(rulesOn([front, about, resume])).toEqual([]);
    expect(rulesOn([front, resume])).toEqual([['the-resume', 'off-the-way']]);
  });
});

test('what the résumé says otherwise than a project is told at the very entry', () => {
  const clock = page('the-clock', 'project', { title: 'Tide clock' });
  const entry = {
    ...newPart('entry', 'the-entry'),
    section: 'projects',
    page: 'the-clock',
    title: 'Harbour timepiece',
  };
  const found = of([clock, page('the-resume', 'resume', { parts: [entry] })]);
  expect([...found.keys()]).toEqual(['the-resume']);
  expect(found.get('the-resume')).toMatchObject([
    {
      rule: 'said-otherwise',
      weight: 'nice',
      part: 'the-entry',
      key: 'said-otherwise the-resume the-entry ',
    },
  ]);
});

describe('links to pages that do not open by the address of the site', () => {
  const linking = (href: string): ShownPage =>
    page('the-notes', 'plain', {
      parts: [
        {
          ...newPart('words', 'the-words'),
          text: {
            type: 'doc',
            content: [
              {
                type: 'paragraph',
                content: [{ type: 'text', text: 'the clock', marks: [{ type: 'link', attrs: { href } }] }],
              },
            ],
          },
        },
      ],
    });
  const found = (href: string, height: string, above = 'public') =>
    [
      ...of(
        [
          linking(href),
          page('harbour', 'group', { height: above }),
          page('tide-clock', 'project', { height, parent: 'harbour' }),
        ],
        [],
        'wren-makes',
      ),
    ].flatMap(([id, all]) =>
      all.filter(({ rule }) => rule === 'closed-inside').map(({ part }) => `${id} ${part}`),
    );
  const own = 'https://kites.example/wren-makes/harbour/tide-clock/';

  test.each(['private', 'invited', 'unlisted'])('are told where the page is %s', (height) => {
    expect(found(own, height)).toEqual(['the-notes the-words']);
    expect(found('https://kites.example/wren-makes/harbour/tide-clock#part', height)).toHaveLength(1);
  });

  test('or what it stands in is; and not where all of it is Public, or the link leads elsewhere', () => {
    expect(found(own, 'public', 'unlisted')).toHaveLength(1);
    expect(found(own, 'public')).toEqual([]);
    expect(found('https://kites.example/other-site/harbour/tide-clock/', 'private')).toEqual([]);
    expect(found('https://kites.example/wren-makes/harbour/', 'private')).toEqual([]);
    expect(found('mailto:wren@demo.example', 'private')).toEqual([]);
  });
});

test('a quick link that does not open is told once on the front page, where it stands anywhere', () => {
  const front = page('the-front', 'home');
  const to = 'https://harbour.example/';
  const quick = (more: object) => ({
    ...{
      id: 'quick',
      name: 'Harbour',
      to,
      newWindow: false,
      inMenu: false,
      atEnd: 'none' as const,
      pages: [],
    },
    ...more,
  });
  const told = (more: object, state: LinkState = 'gone') =>
    [
      ...findingsOfSite({
        ...english,
        ...{ pages: [front, page('the-clock', 'project')], quickLinks: [quick(more)] },
        answers: new Map([[to, { state, movedTo: null }]]),
      }),
    ].flatMap(([id, found]) => found.map(({ says }) => [id, says]));
  expect(told({ inMenu: true })).toEqual([
    ['the-front', 'The link “Harbour” in the menu leads to a page that is not there any more.'],
  ]);
  expect(told({ atEnd: 'every' }, 'slow')).toEqual([
    ['the-front', 'The link “Harbour” at the end of pages leads to a page that did not answer in time.'],
  ]);
  expect(told({ inMenu: true }, 'read')).toEqual([]);
  for (const nowhere of [{}, { inMenu: true, name: ' ' }, { atEnd: 'chosen' }])
    expect(told(nowhere)).toEqual([]);
});
