import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { lineOf, monthsIn } from './hand-in-line.ts';

const instant = fc.date({ min: new Date('2020-01-01'), max: new Date('2040-01-01'), noInvalidDate: true });

test('everything stands on the line, in order, and a day is as long everywhere', () => {
  fc.assert(
    fc.property(fc.array(instant, { minLength: 1, maxLength: 20 }), (instants) => {
      const at = lineOf(instants);
      const sorted = [...instants].sort((a, b) => a.getTime() - b.getTime());
      const places = sorted.map(at);
      for (const place of places) expect(place > 0 && place < 1).toBe(true);
      for (const [index, place] of places.entries())
        expect(index === 0 || place >= (places[index - 1] ?? 0)).toBe(true);
      const day = (from: Date) => at(new Date(from.getTime() + 86_400_000)) - at(from);
      expect(day(sorted[0] ?? new Date())).toBeCloseTo(day(sorted.at(-1) ?? new Date()), 6);
    }),
  );
});

test('names the months that begin in it, and of very many some', () => {
  const names = (from: string, to: string) =>
    monthsIn(new Date(from), new Date(to)).map((month) => month.getMonth() + 1);
  expect(names('2026-09-14T12:00', '2026-12-11T12:00')).toEqual([10, 11, 12]);
  expect(names('2026-09-14T12:00', '2026-09-20T12:00')).toEqual([]);
  expect(names('2020-01-02T12:00', '2026-01-02T12:00').length).toBeLessThanOrEqual(12);
});
