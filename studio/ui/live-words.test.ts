import { describe, expect, test } from '@jest/globals';
import type { Live } from '#contract/site-state.ts';
import { liveWords, nothingWaits, waitingWords } from './live-words.ts';

const base: Live = {
  release: { number: 7, name: '', at: '2026-01-01T00:00:00Z', live: true },
  readersReach: 'public',
  waiting: [],
  addressPath: '/wren-makes/',
  siteLinkPath: '/l/key/',
  pageLinkPaths: {},
};
const edit = {
  kind: 'changed' as const,
  page: 'page-1',
  title: 'Clock',
  what: ['title'],
  opening: false,
  parts: [],
  access: null,
};

describe('the live statement', () => {
  test.each<[string, Partial<Live>, boolean, string]>([
    ['nothing published', { release: null, readersReach: 'private' }, false, 'Nobody sees anything yet'],
    ['public with an address', {}, true, 'Visitors see release 7'],
    [
      'public without an address',
      { addressPath: null },
      true,
      'People with the link see release 7; no address yet',
    ],
    ['unlisted', { readersReach: 'unlisted', addressPath: null }, true, 'People with the link see release 7'],
    [
      'closed after publishing',
      { readersReach: 'private', addressPath: null, siteLinkPath: null },
      false,
      'Closed: release 7 opens for nobody',
    ],
    [
      'invited',
      { readersReach: 'invited', addressPath: null, siteLinkPath: null },
      false,
      'Only people with a pass could open release 7',
    ],
  ])('%s', (_, change, open, sentence) => {
    expect(liveWords({ ...base, ...change })).toEqual({ open, sentence });
  });

  test('counts what waits, and says nothing when nothing does', () => {
    expect(waitingWords(base)).toBeNull();
    expect(waitingWords({ ...base, waiting: [edit] })).toBe('1 edit waiting');
    expect(waitingWords({ ...base, waiting: [edit, edit] })).toBe('2 edits waiting');
  });
});

test('where nothing waits, it says whether readers have it all or nothing', () => {
  const release = { number: 1, name: '', at: '', live: true };
  expect(nothingWaits({ ...base, release: null }, 'private')).toContain('the site is Private');
  expect(nothingWaits({ ...base, release: null }, 'unlisted')).toContain('no page that others may open');
  expect(nothingWaits({ ...base, release, readersReach: 'private' }, 'private')).toContain(
    'nobody can open it',
  );
  expect(nothingWaits({ ...base, release, readersReach: 'unlisted' }, 'unlisted')).toContain(
    'readers see everything',
  );
});
