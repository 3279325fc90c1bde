import { describe, expect, test } from '@jest/globals';
import { outsiderFindings } from './findings.ts';
import type { Tried, TriedWay } from './outsider-test.ts';

const way = (more: Partial<TriedWay> = {}): TriedWay => ({
  ...{ way: { kind: 'address' }, meant: 'open', met: 'opens', missing: [], asked: 9, failed: [] },
  ...{ listed: false, mayBeListed: false, cut: false },
  pages: [
    { page: 'page-front', title: 'the front page', opened: true },
    { page: 'page-clock', title: 'Tide clock', opened: true },
  ],
  ...more,
});
const pass = (more: Partial<TriedWay> = {}) =>
  way({ way: { kind: 'pass', pass: 'pass-00001', name: 'Boatyard' }, ...more });
const tried = (more: Partial<Tried> = {}): Tried => ({
  ...{ release: 3, ways: [way()], guessed: [], outside: [] },
  ...more,
});
const says = (of: Tried) => outsiderFindings(of).map((one) => `${one.is}: ${one.says}`);
const wrong = (of: Tried) => outsiderFindings(of).filter(({ is }) => is === 'wrong');

describe('what an outsider found', () => {
  test('is told as sentences, what is right first', () => {
    expect(
      says(
        tried({
          ways: [way(), pass({ meant: 'password', met: 'asks', pages: [], listed: null })],
          guessed: [{ page: 'page-board', title: 'Tool board', opened: false }],
        }),
      ),
    ).toEqual([
      'right: The address opens 2 pages: the front page and Tide clock.',
      'right: The pass “Boatyard” asks for its password.',
      'right: Tool board stayed shut, and nothing told that they exist.',
      'right: Search engines are asked to stay away.',
    ]);
  });

  test('names what stayed shut, be it a page or a way in', () => {
    const shut = pass({ meant: 'shut', shutBecause: 'over', met: 'shut', pages: [], listed: null });
    expect(says(tried({ ways: [way(), shut] }))).toContain(
      'right: The pass “Boatyard” stayed shut, and nothing told that they exist.',
    );
  });

  test('a page a pass was made for and does not open is wrong, with both ways to mend it', () => {
    const missing = [{ page: 'page-mast', title: 'Mast trolley', because: 'private' as const }];
    const [finding] = wrong(tried({ ways: [pass({ missing })] }));
    expect(finding?.says).toBe('The pass “Boatyard” could not open Mast trolley. It is Private.');
    expect(finding?.repairs.map(({ kind }) => kind)).toEqual(['raise', 'change-pass']);
  });

  // Each of these is a fault that must never be told as right.
  test.each<[string, Partial<Tried>]>([
    ['a way in that opens nothing', { ways: [way({ met: 'shut', pages: [], listed: null })] }],
    ['one that does not answer', { ways: [way({ met: 'silent', pages: [], listed: null })] }],
    ['one that is shut and opens', { ways: [pass({ meant: 'shut', met: 'opens' })] }],
    ['a password that is not asked for', { ways: [pass({ meant: 'password' })] }],
    ['one that nobody set', { ways: [pass({ met: 'asks' })] }],
    ['a page that does not open', { ways: [way({ pages: [{ page: 'p', title: 'P', opened: false }] })] }],
    ['a file that does not load', { ways: [way({ failed: [{ path: 'a.jpg', on: 'Lamp', status: 500 }] })] }],
    ['search engines let in', { ways: [way({ listed: true })] }],
    ['search engines kept out', { ways: [way({ mayBeListed: true })] }],
    ['a page for nobody that opens', { guessed: [{ page: 'p', title: 'P', opened: true }] }],
    ['a link to what is gone', { outside: [{ to: 'https://a.example/', on: 'Lamp', answers: 'gone' }] }],
  ])('%s is wrong', (_, more) => {
    expect(wrong(tried(more))).toHaveLength(1);
  });

  test('before the first publish, and where nothing is open, it says no more than that', () => {
    expect(says(tried({ release: null, ways: [] }))).toEqual([
      'note: Nothing is published yet, so there is nothing that somebody could open.',
    ]);
    expect(says(tried({ ways: [] }))).toEqual(['note: Nobody can open anything of it now.']);
  });

  test('what does not answer the server is a note, not a fault', () => {
    const outside = [{ to: 'https://a.example/', on: 'Lamp', answers: 'unknown' as const }];
    expect(wrong(tried({ outside }))).toEqual([]);
    expect(says(tried({ outside })).at(-1)).toMatch(/^note: 1 link to elsewhere did not answer/);
  });
});
