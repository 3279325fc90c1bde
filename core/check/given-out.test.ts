import { describe, expect, test } from '@jest/globals';
import { sampleSound } from '../materials/sample-sound.ts';
import type { Licence } from '../credits/licence.ts';
import { samplePage as page } from '../pages/sample-page.ts';
import { newPart } from '../parts/new-part.ts';
import type { CheckedSite } from './checked-site.ts';
import { type GivenOut, nothingGivenOut } from './given-out.ts';
import { siteRules } from './rules.ts';

const front = page('the-front', 'home');
const site = (fields: Partial<CheckedSite>): CheckedSite => ({
  ...{ language: 'en', underAge: false, offWall: [], address: null, today: '2026-11-30' },
  ...{ quickLinks: [], answers: new Map() },
  ...{
    pages: [page('a-project', 'project'), front],
    materials: new Map(),
    givenOut: nothingGivenOut,
    inside: {},
    people: [],
  },
  ...fields,
});

describe('passes', () => {
  const jury: GivenOut['passes'][number] = {
    ...{ id: 'the-pass', label: 'Jury', on: true, timeZone: 'Europe/Dublin' },
    closesAt: '2026-12-04T20:00:00.000Z',
  };
  const found = (fields: Partial<typeof jury>) =>
    siteRules['pass-ending'](site({ givenOut: { passes: [{ ...jury, ...fields }], handIns: [] } }));
  test('that end within a week are told of on the front page', () => {
    expect(found({})).toMatchObject([
      { page: 'the-front', says: 'The pass “Jury” ends Fri 4 Dec 2026, 20:00.', weight: 'nice' },
    ]);
    expect(found({ closesAt: '2026-12-07T08:00:00.000Z' })).toHaveLength(1);
  });
  test('not those that end later, never, or have ended, and none that is switched off', () => {
    for (const closesAt of ['2026-12-08T00:00:00.000Z', null, '2026-11-29T20:00:00.000Z'])
      expect(found({ closesAt })).toEqual([]);
    expect(found({ on: false })).toEqual([]);
  });
  test('where no page is the front page, always on the same one; and nowhere where there is none', () => {
    const givenOut = { passes: [jury], handIns: [] };
    const pages = [page('b-project', 'project'), page('a-project', 'project')];
    expect(siteRules['pass-ending'](site({ givenOut, pages }))).toMatchObject([{ page: 'a-project' }]);
    expect(siteRules['pass-ending'](site({ givenOut, pages: [] }))).toEqual([]);
  });
});

test('hand-ins of which something is wrong are told with what', () => {
  const handIns = [
    { id: 'good-one', what: 'Unit 2', warnings: [] },
    { id: 'bad-one', what: 'Unit 3', warnings: ['Its link opens nothing now.', 'Its pass is switched off.'] },
  ];
  expect(siteRules['hand-in'](site({ givenOut: { passes: [], handIns } }))).toMatchObject([
    { page: 'the-front', says: 'Hand-in “Unit 3”: Its link opens nothing now.' },
  ]);
});

describe('work that is not for sale', () => {
  const bell = (licence: Licence, whose: 'someone-else' | 'mine' = 'someone-else') => {
    const one = sampleSound('the-bell');
    return { ...one, title: 'Bell', provenance: { ...one.provenance, whose, licence } };
  };
  const clock = page('the-clock', 'project', { parts: [newPart('sound', 'the-part', ['the-bell'])] });
  const found = (summary: string, one = bell('CC-BY-NC-4.0'), language = 'en') =>
    siteRules['not-for-sale'](
      site({
        pages: [front, clock, page('the-shelf', 'plain', { title: 'Shelf', summary, language })],
        materials: new Map([[one.id, one]]),
      }),
    );
  test('on a site that offers something, in the language of the page that does', () => {
    expect(found('Prints are for sale.')).toMatchObject([
      {
        ...{ page: 'the-clock', part: 'the-part', material: 'the-bell' },
        says: '“Bell” is under a NonCommercial licence, and Shelf says “for sale”.',
      },
    ]);
    expect(found('Drucke sind zu verkaufen.', undefined, 'de')).toHaveLength(1);
    expect(found('Des tirages à vendre.', undefined, 'fr')).toHaveLength(1);
    expect(found('Las láminas están a la venta.', undefined, 'es')).toHaveLength(1);
  });
  test.each([
    ['en', 'The brass cost £ 45 in a shop in town, and I had to buy it twice.'],
    ['en', 'I learned how shops order stock.'],
    ['en', 'We bought the bell and buyers of it were pleased.'],
    ['de', 'Ich musste das Messing bestellen; der Preis war hoch.'],
    ['fr', 'J’ai dû acheter du laiton et commander une scie.'],
    ['es', 'Tuve que comprar latón, y el precio era alto.'],
  ])('not on one that only speaks of money (%s): %s', (language, summary) => {
    expect(found(summary, undefined, language)).toEqual([]);
  });
  test('nor under another licence, nor where it is its maker’s own', () => {
    expect(found('For sale.', bell('CC-BY-4.0'))).toEqual([]);
    expect(found('For sale.', bell('CC-BY-NC-4.0', 'mine'))).toEqual([]);
    expect(found('For sale.', bell('CC-BY-NC-ND-3.0'))).toHaveLength(1);
  });
});
