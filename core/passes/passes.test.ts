import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { passTermsSchema } from './pass.ts';
import { passInASentence } from './pass-in-a-sentence.ts';
import { passState } from './pass-state.ts';
import { passViewer, passViewerKey } from './pass-viewer.ts';
import { passWindow, windowFault } from './pass-window.ts';
import { readablePassword } from './readable-password.ts';

const terms = { label: 'Tutors', opens: 'site', timeZone: 'Europe/Berlin' };

describe('a pass', () => {
  test('needs a name, something to open, and a time zone that there is', () => {
    expect(passTermsSchema.safeParse(terms).success).toBe(true);
    for (const wrong of [
      { label: '  ' },
      { opens: [] },
      { opens: 'all' },
      { timeZone: 'Here' },
      { from: 'tomorrow' },
    ]) {
      const result = passTermsSchema.safeParse({ ...terms, ...wrong });
      expect(result.success).toBe(false);
    }
  });

  test('opens from its first instant up to, and without, its last', () => {
    const window = passWindow({
      from: '2026-12-03T16:00',
      until: '2026-12-04T20:00',
      timeZone: 'Europe/Berlin',
    });
    const at = (instant: string, on = true) => passState({ ...window, on }, new Date(instant));
    expect(at('2026-12-03T14:59:59.999Z')).toBe('not-yet');
    expect(at('2026-12-03T15:00:00Z')).toBe('open');
    expect(at('2026-12-04T18:59:59.999Z')).toBe('open');
    expect(at('2026-12-04T19:00:00Z')).toBe('over');
    expect(at('2026-12-04T10:00:00Z', false)).toBe('off');
    expect(passState({ opensAt: null, closesAt: null, on: true }, new Date(0))).toBe('open');
  });

  test('stays open as long as it says over both changes of clocks', () => {
    // Common practice: a crit from Saturday noon to Sunday noon lasts 23 hours in spring and 25 in autumn.
    const hours = (day: string, next: string) => {
      const { opensAt, closesAt } = passWindow({
        from: `${day}T12:00`,
        until: `${next}T12:00`,
        timeZone: 'Europe/Berlin',
      });
      return ((closesAt?.getTime() ?? 0) - (opensAt?.getTime() ?? 0)) / 3_600_000;
    };
    expect(hours('2026-03-28', '2026-03-29')).toBe(23);
    expect(hours('2026-10-24', '2026-10-25')).toBe(25);
    expect(hours('2026-06-06', '2026-06-07')).toBe(24);
  });

  test('that would close before it opens is refused, also where clocks say otherwise', () => {
    const fault = (from: string, until: string) =>
      windowFault(passWindow({ from, until, timeZone: 'Europe/Berlin' }));
    expect(fault('2026-12-04T20:00', '2026-12-04T20:00')).toMatch(/^The pass would close/);
    expect(fault('2026-12-04T20:00', '2026-12-04T20:01')).toBeNull();
    // 02:30 is left out and comes to 03:30, later than 03:15.
    expect(fault('2026-03-29T02:30', '2026-03-29T03:15')).toMatch(/^The pass would close/);
  });

  test('opens the same as another one whatever the order in which that was said', () => {
    const key = (opens: 'site' | string[], mayDownload = true) =>
      passViewerKey(passViewer({ opens, mayDownload }));
    expect(key(['page-b', 'page-a', 'page-b'])).toBe(key(['page-a', 'page-b']));
    expect(new Set([key('site'), key('site', false), key(['page-a']), key(['page-a'], false)]).size).toBe(4);
  });
});

describe('a made-up password', () => {
  test('can be guessed in more than a thousand million tries, and read out', () => {
    let end = 0;
    readablePassword((below) => {
      end = below;
      return 0;
    });
    expect(end ** 4).toBeGreaterThan(1e9);
    const words = Array.from({ length: end }, (_, at) => readablePassword(() => at).split('-')[0] ?? '');
    expect(new Set(words).size).toBe(end);
    for (const word of words) expect(word).toMatch(/^[a-z]{3,8}$/);
    // None begins another one, so that what was heard is never two of them.
    const sorted = words.sort();
    sorted.forEach((word, at) => expect(sorted[at + 1]?.startsWith(word) ?? false).toBe(false));
  });

  test('is any of them', () => {
    fc.assert(
      fc.property(fc.infiniteStream(fc.nat()), (numbers) => {
        const password = readablePassword((end) => (numbers.next().value as number) % end);
        expect(password.split('-')).toHaveLength(4);
      }),
      { numRuns: 20 },
    );
  });
});

describe('what a pass does is said in a sentence', () => {
  const said = (more: object, pages = 2, password = false) =>
    passInASentence(
      { from: null, until: null, mayDownload: true, mayComment: false, ...more },
      { pages, password },
    );

  test.each([
    [said({}), 'Whoever has this link can read 2 pages, until you switch it off.'],
    [said({}, 1, true), 'Whoever has this link and the password can read 1 page, until you switch it off.'],
    [
      said({ from: '2026-12-03T16:00', until: '2026-12-04T20:00' }),
      'Whoever has this link can read 2 pages from Thu 3 Dec 2026, 16:00 until Fri 4 Dec 2026, 20:00.',
    ],
    [
      said({ until: '2026-12-04T20:00', mayDownload: false }),
      'Whoever has this link can read 2 pages until Fri 4 Dec 2026, 20:00. They can download no files.',
    ],
    [said({}, 0), 'Whoever has this link can read nothing: all that it would open is Private.'],
  ])('%s', (sentence, expected) => expect(sentence).toBe(expected));
});
