import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { dateSpan } from './date-span.ts';

// How people write spans on résumés is common practice.
describe('a span of time in a line', () => {
  test.each([
    ['Mar 2019 – Present', '2019-03', 'now'],
    ['2013-12-01 - 2014-12-01', '2013-12', '2014-12'],
    ['(09/2015 – 06/2018)', '2015-09', '2018-06'],
    ['2011 to 2013', '2011', '2013'],
    ['since May 2020', '2020-05', 'now'],
    ['Sept. – Dec. 2013', '2013-09', '2013-12'],
    ['Summer 2024', '2024', null],
    ['März 2019 bis heute', '2019-03', 'now'],
    ['septembre 2018 à juin 2019', '2018-09', '2019-06'],
    ['2018 – 2016', '2016', '2018'],
  ])('%s', (text, from, to) => expect(dateSpan(text)).toMatchObject({ from, to, rest: '' }));

  test('leaves the rest of the line, without what only held it', () => {
    expect(dateSpan('Saturday help (March 2025 – now), boatyard')?.rest).toBe('Saturday help    boatyard');
    expect(dateSpan('12/2013 – 12/2014 | Teacher | School')?.rest).toBe('Teacher | School');
    expect(dateSpan('Award, the fair, Nov 2014')?.rest).toBe('Award, the fair');
  });

  test('is none where no year is: numbers, phones, courses', () => {
    for (const text of [
      'Built 12 hotels',
      '(912) 555-4321',
      'CS2011 - Java',
      'DB1101',
      '745 minutes',
      'May be',
      '',
    ])
      expect(dateSpan(text)).toBeNull();
  });

  test('comes back whatever way it was written', () => {
    const month = fc.tuple(fc.integer({ min: 1960, max: 2045 }), fc.integer({ min: 1, max: 12 }));
    const ways: ((year: number, at: number) => string)[] = [
      (year, at) => `${year}-${String(at).padStart(2, '0')}`,
      (year, at) => `${String(at).padStart(2, '0')}/${year}`,
      (year, at) =>
        new Date(Date.UTC(year, at - 1, 15)).toLocaleDateString('en', {
          month: 'long',
          year: 'numeric',
          timeZone: 'UTC',
        }),
      (year, at) =>
        new Date(Date.UTC(year, at - 1, 15)).toLocaleDateString('en', {
          month: 'short',
          year: 'numeric',
          timeZone: 'UTC',
        }),
    ];
    const dash = fc.constantFrom(' – ', '-', ' to ', ' — ', '–');
    fc.assert(
      fc.property(month, month, fc.constantFrom(...ways), dash, (a, b, write, between) => {
        const iso = ([year, at]: [number, number]) => `${year}-${String(at).padStart(2, '0')}`;
        const [from, to] = [a, b].sort((x, y) => (iso(x) < iso(y) ? -1 : 1)) as [
          [number, number],
          [number, number],
        ];
        // Joined by a bare hyphen, ISO dates are no span for anybody.
        fc.pre(!(between === '-' && write === ways[0]));
        expect(dateSpan(`${write(...from)}${between}${write(...to)}`)).toMatchObject({
          from: iso(from),
          to: iso(to),
        });
      }),
    );
  });
});
