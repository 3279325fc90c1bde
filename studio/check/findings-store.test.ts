import { expect, jest, test } from '@jest/globals';
import { Checker } from '#core/check/checker.ts';
import type { Draft } from '#core/sites/site.ts';
import { sampleSound } from '#core/materials/sample-sound.ts';
import { newPart } from '#core/parts/new-part.ts';
import { emptyContents } from '#core/pages/page-contents.ts';
import type { PageOf } from '#core/pages/page.ts';
import { emptySite } from '../testing/open-site.tsx';
import type { Answered, Asked } from './check-worker.ts';
import { FindingsStore } from './findings-store.ts';

const page = (id: string, fields: Partial<PageOf<'plain'>> = {}): PageOf<'plain'> => ({
  ...(emptyContents.plain as object as PageOf<'plain'>),
  ...{ id, kind: 'plain', title: id, slug: id, height: 'public', rank: 'a', parent: null },
  ...{ archived: false, inMenu: null, language: null },
  ...fields,
});
const draft = (fields: Partial<Draft>): Draft => ({
  site: emptySite.site,
  pages: [],
  materials: [],
  ...fields,
});

/** A worker whose answers are held back until they are let go. */
function open() {
  const checker = new Checker();
  const asked: Asked[] = [];
  const answers: Answered[] = [];
  const worker = {
    onmessage: null as ((event: MessageEvent<Answered>) => void) | null,
    onerror: null as (() => void) | null,
    postMessage: (one: Asked) => {
      asked.push(one);
      answers.push({ at: one.at, found: checker.take(one.changed) });
    },
    terminate: jest.fn(),
  };
  const store = new FindingsStore(() => worker as unknown as Worker);
  const answer = () => worker.onmessage?.({ data: answers.shift() } as MessageEvent<Answered>);
  return { store, asked, answer, worker };
}
const rulesOf = (store: FindingsStore, id: string) =>
  store
    .get()
    .of.get(id)
    ?.map(({ rule }) => rule);

test('tells the worker once what there is, then only what changed', () => {
  const { store, asked, answer } = open();
  const one = page('one-page', { title: '' });
  const two = page('two-page');
  const first = draft({ pages: [one, two] });
  store.tell(first, '2026-11-29');
  expect(store.get().current).toBe(false);
  answer();
  expect(store.get().current).toBe(true);
  expect(rulesOf(store, 'one-page')).toEqual(['title']);
  expect(rulesOf(store, 'two-page')).toEqual([]);
  store.tell(first, '2026-11-29');
  store.tell({ ...first, pages: [...first.pages] }, '2026-11-29');
  expect(asked).toHaveLength(1);
  store.tell({ ...first, pages: [{ ...one, title: 'Named' }, two] }, '2026-11-29');
  answer();
  expect(asked[1]?.changed).toMatchObject({ pages: [{ id: 'one-page' }], gonePages: [], materials: [] });
  expect(asked[1]?.changed.site).toBeUndefined();
  expect(rulesOf(store, 'one-page')).toEqual([]);
});

test('answers that come late are of before: the last one makes it current', () => {
  const { store, answer } = open();
  store.tell(draft({ pages: [page('one-page', { title: '' })] }), '2026-11-29');
  store.tell(draft({ pages: [page('one-page', { title: 'Named' })] }), '2026-11-29');
  answer();
  expect(store.get().current).toBe(false);
  answer();
  expect(store.get().current).toBe(true);
  expect(rulesOf(store, 'one-page')).toEqual([]);
});

test('what is deleted or put away, itself or with what it stands in, is said nothing of', () => {
  const { store, answer } = open();
  const group = page('the-group');
  const below = page('the-below', { title: '', parent: 'the-group' });
  store.tell(draft({ pages: [group, below] }), '2026-11-29');
  answer();
  expect(rulesOf(store, 'the-below')).toEqual(['title']);
  store.tell(draft({ pages: [{ ...group, archived: true }, below] }), '2026-11-29');
  answer();
  expect([...store.get().of.keys()]).toEqual([]);
});

test('a material that changes is looked at where it stands', () => {
  const { store, answer } = open();
  const bell = sampleSound('the-bell');
  const with_ = page('one-page', { parts: [newPart('sound', 'a-sound', ['the-bell'])] });
  store.tell(draft({ pages: [with_], materials: [bell] }), '2026-11-29');
  answer();
  expect(rulesOf(store, 'one-page')).toEqual(['transcript']);
  store.tell(draft({ pages: [with_], materials: [{ ...bell, transcript: 'A bell.' }] }), '2026-11-29');
  answer();
  expect(rulesOf(store, 'one-page')).toEqual([]);
});

test('what is known besides the draft is told once, and looked at', () => {
  const { store, asked, answer } = open();
  store.tell(draft({ pages: [page('one-page')] }), '2026-11-29');
  answer();
  const jury = {
    ...{ id: 'the-pass', label: 'Jury', on: true, timeZone: 'Europe/Dublin' },
    closesAt: '2026-11-30T20:00:00.000Z',
  };
  store.tellBesides({ givenOut: { passes: [jury], handIns: [] } });
  expect(store.get().current).toBe(false);
  answer();
  expect(rulesOf(store, 'one-page')).toEqual(['pass-ending']);
  store.tellBesides({ givenOut: { passes: [{ ...jury }], handIns: [] } });
  expect(asked).toHaveLength(2);
  const lookedAt = { groups: [], warnings: {} };
  store.tellBesides({ lookedAt, givenOut: { passes: [{ ...jury }], handIns: [] } });
  expect(asked.at(-1)?.changed).toEqual({ lookedAt });
  answer();
  store.tellBesides({
    lookedAt: { ...lookedAt },
    givenOut: { passes: [{ ...jury, on: false }], handIns: [] },
  });
  expect(Object.keys(asked.at(-1)?.changed ?? {})).toEqual(['givenOut']);
  answer();
  expect(rulesOf(store, 'one-page')).toEqual([]);
});

test('where looking fails that is said, and a new day is looked at anew', () => {
  const { store, asked, worker } = open();
  store.tell(draft({}), '2026-11-29');
  store.tell(draft({}), '2026-11-30');
  expect(asked.map(({ changed }) => changed.today)).toEqual(['2026-11-29', '2026-11-30']);
  const heard = jest.fn();
  const leave = store.subscribe(heard);
  worker.onerror?.();
  expect(store.get().failed).toBe(true);
  expect(heard).toHaveBeenCalledTimes(1);
  leave();
  store.end();
  expect(worker.terminate).toHaveBeenCalled();
});
