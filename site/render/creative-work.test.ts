import { describe, expect, test } from '@jest/globals';
import { noFacts } from '#core/pages/case-facts.ts';
import { firstLook } from '#core/look/look.ts';
import { noCover } from '#core/pages/cover.ts';
import { asScriptText, creativeWork } from './creative-work.ts';
import type { PageInput } from './page-input.ts';
import type { Picture } from './picture.ts';

const input = (facts: Partial<PageInput['page']['facts']>): PageInput => ({
  siteTitle: 'The harbour workshop',
  by: 'Wren makes',
  look: firstLook,
  path: 'tide-clock/',
  toRoot: '../',
  home: '',
  siteLanguage: 'en',
  links: [],
  contact: '',
  rights: null,
  feed: null,
  labels: 'below',
  welcome: true,
  manner: 'line',
  menu: [],
  up: null,
  below: [],
  belowLabel: '',
  tags: [],
  ways: {},
  toResume: null,
  resume: null,
  page: {
    id: 'page-1',
    kind: 'project',
    slug: 'tide-clock',
    title: 'Tide clock',
    summary: 'One hand, one tide.',
    facts: { ...noFacts, ...facts },
    cover: noCover,
    parent: null,
    inMenu: false,
    language: 'en',
    onWall: true,
    lead: null,
    credits: [],
    opening: { layout: 'words', pictures: [] },
    parts: [],
  },
  groundPicture: null,
  preview: { url: 'https://wall.test/ash/share/a.jpg', alt: '' },
  base: null,
  pictures: {},
  media: {},
  cards: [],
  wall: 'rows',
  wallGroups: [],
  before: null,
  after: null,
});

// The names of types and properties are those of schema.org: package schema-dts is made from its vocabulary, and the
// compiler refuses a property that CreativeWork does not have. What follows are our values in it.
describe('what a case page says to machines', () => {
  test('all facts, each under its name', () => {
    expect(
      creativeWork(
        input({
          from: '2025-09',
          to: '2025-12',
          withWhom: [
            { name: 'Idris', did: 'checked the sums' },
            { name: 'Ana', did: '' },
            { name: '', did: 'nobody' },
          ],
          course: 'Making Things Last',
          role: 'Design and making',
          madeWith: 'Bandsaw, CAD',
          field: 'Clocks',
          materials: 'Plywood',
          tags: ['harbour'],
          licence: 'CC-BY-4.0',
        }),
      ),
    ).toEqual({
      '@context': 'https://schema.org',
      '@type': 'CreativeWork',
      name: 'Tide clock',
      inLanguage: 'en',
      abstract: 'One hand, one tide.',
      creator: {
        '@type': 'Role',
        creator: { '@type': 'Person', name: 'Wren makes' },
        roleName: 'Design and making',
        startDate: '2025-09',
        endDate: '2025-12',
      },
      contributor: [
        { '@type': 'Role', contributor: { '@type': 'Person', name: 'Idris' }, roleName: 'checked the sums' },
        { '@type': 'Person', name: 'Ana' },
      ],
      dateCreated: '2025-12',
      genre: 'Clocks',
      keywords: ['harbour'],
      material: 'Plywood',
      mentions: { '@type': 'Thing', name: 'Bandsaw, CAD' },
      audience: { '@type': 'Audience', name: 'Making Things Last' },
      license: 'https://creativecommons.org/licenses/by/4.0/',
      image: 'https://wall.test/ash/share/a.jpg',
    });
  });

  test('its picture is the first on the page, as a JPEG for every browser, from where the page is', () => {
    const shown: Picture = {
      ...{ id: 'picture-1', alt: '', caption: '', widthPx: 1600, heightPx: 1200, colour: null },
      ...{ focus: { x: 0.5, y: 0.5 }, moving: null, sources: [] },
      fallback: [
        { url: 'media/clock-640.jpg', widthPx: 640 },
        { url: 'media/clock-1280.jpg', widthPx: 1280 },
      ],
    };
    const page = { ...input({}), pictures: { 'picture-1': shown } };
    expect(creativeWork(page)).toMatchObject({ image: '../media/clock-640.jpg' });
    expect(creativeWork({ ...input({}), preview: null })).not.toHaveProperty('image');
  });

  test('nothing is said of what was left empty', () => {
    expect(Object.keys(creativeWork(input({})))).toEqual([
      '@context',
      '@type',
      'name',
      'inLanguage',
      'abstract',
      'creator',
      'image',
    ]);
    const goingOn = creativeWork(input({ from: '2026-03', to: 'now' }));
    expect(goingOn).toMatchObject({ creator: { startDate: '2026-03' } });
    expect(goingOn).not.toHaveProperty('dateCreated');
  });

  test('no text of a maker ends the script element', () =>
    expect(asScriptText({ name: '</script><!--<script>' })).toBe(
      String.raw`{"name":"\u003c/script>\u003c!--\u003cscript>"}`,
    ));
});
