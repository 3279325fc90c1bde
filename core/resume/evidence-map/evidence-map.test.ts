import { describe, expect, test } from '@jest/globals';
import { seenBy } from '../../access/seen-by.ts';
import type { Height } from '../../access/height.ts';
import { firstLook } from '../../look/look.ts';
import type { Page, ShownPage } from '../../pages/page.ts';
import { noFacts } from '../../pages/case-facts.ts';
import { nothingShown } from '../../pages/page-contents.ts';
import { newPart } from '../../parts/new-part.ts';
import type { Part, PartKind, PartOf } from '../../parts/parts.ts';
import { firstArrangement } from '../../sites/arrangement.ts';
import type { Draft } from '../../sites/site.ts';
import { evidenceMap, withProposed } from './evidence-map.ts';

const part = (kind: PartKind, id: string, more: object = {}): Part =>
  ({ ...newPart(kind, id), height: 'public', ...more }) as Part;
const page = (id: string, kind: Page['kind'], more: object): ShownPage =>
  ({
    ...{ id, kind, title: id, slug: id, rank: id, parent: null, height: 'public' },
    ...{ archived: false, inMenu: null, language: null, ...nothingShown, ...more },
  }) as ShownPage;
const quote = (id: string, height: Height = 'public') =>
  part('quote', id, { text: 'Good.', by: 'A reader', height });
const skill = (id: string, proofs: [page: string, part?: string][], more: object = {}) =>
  part('entry', id, {
    ...{ section: 'skills', title: id, ...more },
    proofs: proofs.map(([of, at]) => ({ page: of, part: at ?? null })),
  });

const entries = [
  skill('gears', [['clock'], ['clock', 'sums'], ['low']]),
  skill('secret', [['clock', 'hidden'], ['low']]),
  skill('one', [['hotel']], {
    lines: [{ id: 'a', text: 'Built it.', proof: { page: 'hotel', part: null } }],
  }),
  skill('gone', [['nowhere'], ['clock', 'nothing'], ['away']]),
  skill('claim', []),
  skill('not-in', [['hotel']]),
  { ...skill('work', [['hotel']]), section: 'work' } as Part,
];
const version = part('version', 'v', {
  entries: ['claim', 'gears', 'secret', 'one', 'gone', 'work'],
}) as PartOf<'version'>;
const facts = { facts: noFacts };
const resume = page('resume', 'resume', { parts: [version, ...entries] });
const draft = {
  site: {
    ...{ id: 'site', title: 'Wren', height: 'public', address: 'wren', searchEngines: false },
    ...{ look: firstLook, evidenceWanted: 3, ...firstArrangement },
  },
  materials: [],
  pages: [
    page('hotel', 'project', { ...facts, parts: [quote('q')] }),
    page('clock', 'project', { ...facts, parts: [quote('sums'), quote('hidden', 'private')] }),
    page('low', 'project', { ...facts, height: 'invited', parts: [quote('z')] }),
    page('away', 'project', { ...facts, archived: true, parts: [quote('y')] }),
    resume,
  ],
} as unknown as Draft;

describe('the map of skills and evidence', () => {
  const { rows, pages } = evidenceMap(draft, resume, version);

  test('has the skills of the version in its order, each with how well it is shown', () => {
    expect(rows.map(({ entry, verdict }) => [entry.id, verdict])).toEqual([
      ['claim', 'claimed'],
      ['gears', 'shown'],
      ['secret', 'out-of-reach'],
      ['one', 'thin'],
      ['gone', 'out-of-reach'],
    ]);
    expect(rows.at(-1)?.proofs.map(({ kind }) => kind)).toEqual(['gone', 'gone', 'gone']);
  });

  test('says for each proof whether its readers can open it, as the door itself does', () => {
    const view = seenBy(draft, { kind: 'stranger' });
    const isSeen = (of: string, at: string | null) => {
      const seen = view?.pages.find(({ id }) => id === of);
      return Boolean(seen && (at === null || seen.parts.some(({ id }) => id === at)));
    };
    for (const { proofs } of rows)
      for (const { proof, opens } of proofs)
        expect([proof, opens]).toEqual([proof, isSeen(proof.page, proof.part)]);
  });

  test('has each proving page once, with what of it proves, in an order in which strings cross little', () => {
    expect(pages.map(({ page: { id }, things }) => [id, things.map(({ part: at }) => at)])).toEqual([
      ['clock', [null, 'sums', 'hidden']],
      ['low', [null]],
      ['hotel', [null]],
    ]);
  });

  test('what is proposed stands in order beside what is there, and what is gone is not proposed', () => {
    const proposed = [
      { page: 'clock', part: 'sums' },
      { page: 'hotel', part: 'q' },
      { page: 'away', part: null },
      { page: 'clock', part: 'nothing' },
    ];
    const known = pages.filter(({ page: { id } }) => id !== 'low');
    const found = withProposed(
      known,
      draft,
      [...proposed, { page: 'low', part: null }],
      ({ page: of }) => of !== 'low',
    );
    expect(
      found.map(({ page: { id }, things }) => [id, things.map(({ part: at, opens }) => [at, opens])]),
    ).toEqual([
      [
        'clock',
        [
          [null, true],
          ['sums', true],
          ['hidden', false],
        ],
      ],
      [
        'hotel',
        [
          [null, true],
          ['q', true],
        ],
      ],
      ['low', [[null, false]]],
    ]);
  });

  test('a Private version is its maker’s, who opens all', () => {
    const own = { ...version, height: 'private' as const };
    const parts = resume.parts.map((one) => (one === version ? own : one));
    const alone = {
      ...draft,
      pages: draft.pages.map((one) => (one === resume ? { ...resume, parts } : one)),
    };
    const found = evidenceMap(alone, { ...resume, parts }, own);
    expect(found.rows.map(({ verdict }) => verdict)).toEqual([
      'claimed',
      'shown',
      'shown',
      'thin',
      'out-of-reach',
    ]);
  });
});
