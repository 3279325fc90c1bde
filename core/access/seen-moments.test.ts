import { expect, test } from '@jest/globals';
import { firstLook } from '../look/look.ts';
import { nothingShown } from '../pages/page-contents.ts';
import type { Page } from '../pages/page.ts';
import type { Moment } from '../parts/moment.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import type { Process } from '../parts/process.ts';
import { releasable } from '../release/released.ts';
import { firstArrangement } from '../sites/arrangement.ts';
import type { Draft } from '../sites/site.ts';
import { seenBy } from './seen-by.ts';
import type { Viewer } from './viewer.ts';

const moment = (id: string, more: Partial<Moment> = {}): Moment => ({
  ...(newPart('moment', id) as Moment),
  ...{ date: '2025-11-06', title: id, happened: `what of ${id}` },
  ...more,
});
const process = (id: string, more: Partial<Process> = {}): Process => ({
  ...(newPart('process', id) as Process),
  ...more,
});
const page = (id: string, parts: Part[], more: object = {}): Page =>
  ({
    ...nothingShown,
    ...{ id, kind: 'plain', slug: id, title: id, height: 'public', rank: id, parent: null, archived: false },
    ...{ inMenu: null, language: null, parts },
    ...more,
  }) as Page;
const site = (...pages: Page[]): Draft => ({
  site: {
    ...{ id: 'site-one', title: 'A site', height: 'public', address: 'a-site', searchEngines: false },
    ...{ look: firstLook, evidenceWanted: 0, ...firstArrangement },
  },
  pages,
  materials: [],
});
const stranger: Viewer = { kind: 'stranger' };
const drawn = (draft: Draft, viewer: Viewer = stranger): Record<string, string[]> =>
  Object.fromEntries(
    (seenBy(draft, viewer)?.pages ?? []).flatMap(({ id, parts }) =>
      parts.flatMap((part) => (part.kind === 'process' ? [[id, part.moments.map((one) => one.id)]] : [])),
    ),
  );

test('a moment is drawn where its height and its page let it, in time and without a gap', () => {
  const draft = site(
    page('clocks', [
      moment('second', { date: '2025-12-01' }),
      moment('secret', { height: 'invited', date: '2025-11-20' }),
      moment('firsts', { date: '2025-11' }),
      moment('blanks', { title: ' ', happened: '' }),
      process('process'),
    ]),
    page('hidden', [moment('hidden-one')], { height: 'private' }),
    page('around', [process('all-of-them', { pages: ['clocks', 'hidden', 'nowhere'] })]),
  );
  expect(drawn(draft)).toEqual({ clocks: ['firsts', 'second'], around: ['firsts', 'second'] });
  expect(drawn(draft, { kind: 'pass', covers: 'site', downloads: true })).toMatchObject({
    clocks: ['firsts', 'secret', 'second'],
  });
});

test('a page draws its own and those below it, the front page all of them', () => {
  const below = { parent: 'groups' };
  const draft = site(
    page('homes', [process('front')], { kind: 'home' }),
    page('groups', [moment('of-group'), process('of-all')], { kind: 'group' }),
    page('lamps', [moment('of-lamp', { date: '2025' })], below),
    page('alone', [moment('of-none', { date: '2026' })]),
  );
  expect(drawn(draft)).toEqual({
    homes: ['of-lamp', 'of-group', 'of-none'],
    groups: ['of-lamp', 'of-group'],
  });
});

test('what readers are not to be told is not in what they get', () => {
  const told = moment('gears', {
    ...{ decided: 'thirty teeth', why: 'the sums', turnedDown: 'a belt', next: 'does it drift' },
    ...{ with: 'Idris', minutes: 210 },
  });
  const bytes = (more: Partial<Process>) =>
    JSON.stringify(seenBy(site(page('clocks', [told, process('process', more)])), stranger));
  const words = ['thirty teeth', 'the sums', 'a belt', 'does it drift', 'Idris', '210'];
  const said = (more: Partial<Process>) => words.filter((word) => bytes(more).includes(word));
  expect(said({ reasons: false })).toEqual([]);
  expect(said({ reasons: true })).toEqual(words.slice(0, 4));
  expect(said({ reasons: false, company: true })).toEqual(['Idris']);
  expect(said({ reasons: false, time: true })).toEqual(['210']);
});

test('phase and choice leave out the others', () => {
  const parts = [moment('first-one', { phase: 'phase-build' }), moment('second-one')];
  const of = (more: Partial<Process>) => drawn(site(page('clocks', [...parts, process('process', more)])));
  expect(of({ phase: 'phase-build' })).toEqual({ clocks: ['first-one'] });
  expect(of({ chosen: ['second-one', 'gone-one'] })).toEqual({ clocks: ['second-one'] });
  // Where there is nothing to draw there is no part.
  expect(of({ phase: 'phase-test' })).toEqual({});
});

test('each moment has one place on a page, however often it is drawn there', () => {
  const draft = site(page('clocks', [moment('gears'), process('one-part'), process('another')]));
  const places = seenBy(draft, stranger)?.pages[0]?.parts.flatMap((part) =>
    part.kind === 'process' ? part.moments.map(({ addressed }) => addressed) : [],
  );
  expect(places).toEqual([true, false]);
});

test('a release keeps no moment that nothing draws', () => {
  const draft = site(
    page('clocks', [moment('drawn-one'), moment('secret', { height: 'private' })]),
    page('others', [moment('notebook')]),
    page('around', [process('process', { pages: ['clocks'] })]),
  );
  const kept = JSON.stringify(releasable(draft));
  expect(kept).toContain('what of drawn-one');
  for (const gone of ['what of secret', 'what of notebook']) expect(kept).not.toContain(gone);
});

test('a table of decisions tells what was decided, and leads to nothing that its reader may not have', () => {
  const decided = (id: string, ledTo: string | null, more: Partial<Moment> = {}) =>
    moment(id, { decided: `decided ${id}`, happened: `kept quiet ${id}`, ledTo, ...more });
  const draft = site(
    page('clocks', [
      decided('first-one', 'secret', { with: 'Idris', minutes: 7001 }),
      decided('next-one', 'last-one'),
      moment('last-one', { date: '2026' }),
      moment('secret', { height: 'invited' }),
      newPart('decisions', 'decisions'),
    ]),
  );
  const rows = (viewer: Viewer) =>
    seenBy(draft, viewer)?.pages[0]?.parts.flatMap((part) =>
      part.kind === 'decisions' ? part.rows.map(({ id, ledTo }) => [id, ledTo?.id]) : [],
    );
  // What something led to is named where the page draws it, too; the table alone draws only what was decided.
  expect(rows(stranger)).toEqual([
    ['first-one', undefined],
    ['next-one', undefined],
  ]);
  const bytes = JSON.stringify(seenBy(draft, stranger));
  for (const kept of ['kept quiet', 'Idris', '7001', 'secret']) expect(bytes).not.toContain(kept);
  draft.pages[0] = page('clocks', [
    ...(draft.pages[0] && 'parts' in draft.pages[0] ? draft.pages[0].parts : []),
    process('process'),
  ]);
  expect(rows(stranger)).toEqual([
    ['first-one', undefined],
    ['next-one', 'last-one'],
  ]);
  expect(rows({ kind: 'pass', covers: 'site', downloads: true })).toEqual([
    ['first-one', 'secret'],
    ['next-one', 'last-one'],
  ]);
});
