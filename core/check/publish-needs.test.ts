import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { draftArbitrary } from '../access/arbitrary-draft.ts';
import { mine } from '../credits/provenance.ts';
import type { AnswerOf } from '../links/link-answer.ts';
import { sampleLinkFacts } from '../materials/sample-link.ts';
import type { PageOf } from '../pages/page.ts';
import { newPart } from '../parts/new-part.ts';
import { digestOf } from './digest.ts';
import { nothingLookedAt } from './looked-at.ts';
import { findingsOfPage } from './findings-of-page.ts';
import { neededRules } from './needed-rules.ts';
import { publishNeeds } from './publish-needs.ts';

const [sample] = fc.sample(draftArbitrary, { numRuns: 1, seed: 5 });
const [page] = sample?.pages ?? [];
if (!sample || !page) throw new Error('no sample');
const bare: PageOf<'project'> = {
  ...page,
  ...{ height: 'public', parent: null, archived: false },
  cover: { picture: null, focus: null },
  opening: { ...page.opening, pictures: [] },
  parts: [newPart('gallery', 'gallery-1', ['material-1', 'material-2', 'material-1'])],
};
const whole = { ...sample, site: { ...sample.site, height: 'public' as const }, pages: [bare] };
const today = '2026-11-29';
const needs = (materials: object, fields: Partial<PageOf<'project'>> = {}, answers: AnswerOf = new Map()) =>
  publishNeeds(
    {
      ...whole,
      pages: [{ ...bare, ...fields }],
      materials: sample.materials.map((one) => ({ ...one, provenance: mine, ...materials }) as typeof one),
    },
    () => true,
    today,
    {},
    answers,
  ).flatMap((one) => one.needs);

test('counts works of others whose source or licence is not said, once each', () => {
  const theirs = { ...mine, whose: 'someone-else', maker: 'Ana' };
  const of = (provenance: object) => needs({ provenance: { ...theirs, ...provenance } });
  expect(of({})).toEqual([{ kind: 'credit', count: 2 }]);
  expect(of({ source: 'Town archive' })).toEqual([{ kind: 'credit', count: 2 }]);
  expect(of({ licence: 'CC-BY-4.0' })).toEqual([{ kind: 'credit', count: 2 }]);
  expect(of({ source: 'Town archive', licence: 'CC-BY-4.0' })).toEqual([]);
  // A maker nobody knows is no reason to hold a page back.
  expect(of({ maker: '', source: 'Town archive', licence: 'CC-BY-4.0' })).toEqual([]);
  expect(of({ whose: 'with-others' })).toEqual([]);
});

test('counts pictures without alt text, what is heard without words, and links to what is gone', () => {
  expect(needs({ alt: ' ' })).toEqual([{ kind: 'alt', count: 2 }]);
  const sound = { parts: [newPart('sound', 'sound-1', ['material-4'])] };
  expect(needs({ transcript: '' }, sound)).toEqual([{ kind: 'transcript', count: 1 }]);
  const link = { parts: [newPart('link', 'link-1', ['material-6'])] };
  const leads = (state: 'gone' | 'slow') => ({
    kind: 'link',
    facts: sampleLinkFacts({ url: 'https://kite.example/', state }),
  });
  expect(needs(leads('gone'), link)).toEqual([{ kind: 'link', count: 1 }]);
  // What words lead to counts as soon as it was tried.
  const inWords = { parts: [{ ...newPart('contact', 'contact-1', []), link: 'https://kite.example/' }] };
  expect(needs({ alt: 'A dial' }, inWords)).toEqual([]);
  expect(
    needs({ alt: 'A dial' }, inWords, new Map([['https://kite.example/', { state: 'gone', movedTo: null }]])),
  ).toEqual([{ kind: 'link', count: 1 }]);
  // What answers late may answer tomorrow.
  expect(needs(leads('slow'), link)).toEqual([]);
});

test('counts parts of an outline that stay out because nobody filled them in', () => {
  const asked = { ...newPart('words', 'words-1'), prompt: 'What did you try first?' };
  expect(needs({}, { parts: [asked, newPart('words', 'words-2')] })).toEqual([{ kind: 'outline', count: 1 }]);
});

test('asks only about pages that go, and of those about what somebody can open', () => {
  expect(publishNeeds(sample, () => false, today, {}, new Map())).toEqual([]);
  expect(needs({ alt: '' }, { height: 'private' })).toEqual([]);
});

test('is silent about what its maker lets stand, until that is another thing', () => {
  const alt = { key: `alt ${bare.id} gallery-1 material-1`, of: digestOf(''), reason: '' };
  const withAlt = (waived: object[]) =>
    publishNeeds(
      {
        ...whole,
        site: { ...whole.site, waived: waived as (typeof whole.site)['waived'] },
        materials: sample.materials.map((one) => ({ ...one, provenance: mine, alt: '' }) as typeof one),
      },
      () => true,
      today,
      {},
      new Map(),
    ).flatMap((one) => one.needs);
  expect(withAlt([])).toEqual([{ kind: 'alt', count: 2 }]);
  expect(withAlt([alt])).toEqual([{ kind: 'alt', count: 1 }]);
  expect(withAlt([{ ...alt, of: digestOf('other') }])).toEqual([{ kind: 'alt', count: 2 }]);
});

test('asks about everything that a rule calls Needed', () => {
  fc.assert(
    fc.property(draftArbitrary, (draft) => {
      for (const page of draft.pages) {
        const materials = new Map(draft.materials.map((one) => [one.id, one]));
        for (const { weight, rule } of findingsOfPage({
          ...{ page, site: draft.site, today, materials },
          lookedAt: nothingLookedAt,
          inside: {},
          answers: new Map(),
        }))
          if (weight === 'needed') expect(neededRules).toContain(rule);
      }
    }),
  );
});
