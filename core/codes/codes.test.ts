import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { qrLevels, qrPlan, quietZone, smallestModuleMm } from './qr-plan.ts';
import { newShortCode, readShortCode, shortCodeInPrint, shortCodes } from './short-code.ts';

const code = fc
  .infiniteStream(fc.nat(1_000_000))
  .map((stream) => newShortCode((most) => (stream.next().value ?? 0) % most));

describe('short codes', () => {
  test('are read again however they are typed, and nothing else is one', () => {
    fc.assert(
      fc.property(code, (one) => {
        expect(one).toHaveLength(8);
        for (const typed of [
          one,
          one.toLowerCase(),
          shortCodeInPrint(one),
          ` ${one.slice(0, 3)}-${one.slice(3)} `,
        ])
          expect(readShortCode(typed)).toBe(one);
      }),
    );
    for (const wrong of ['', 'KARMET2', 'KARMET277', 'KORMET27', 'KARMET21', '../..', 'KARMET27/'])
      expect(readShortCode(wrong)).toBeNull();
  });

  test('have no two signs that are taken for one another', () => {
    const signs = new Set(fc.sample(code, 500).join(''));
    for (const pair of ['O0', 'I1', 'L1', 'S5', 'B8', 'Z2', 'G6', 'UV', 'MN', 'DT', 'BP'])
      expect([...pair].every((sign) => signs.has(sign))).toBe(false);
    expect(shortCodes).toBeGreaterThan(700_000);
  });
});

describe('the plan of a QR code', () => {
  const modules = { H: 41, Q: 37, M: 33, L: 29 };

  test('takes the strongest correction there is room for', () => {
    expect(qrPlan(modules, 30)).toMatchObject({ level: 'H', reads: true });
    expect(qrPlan(modules, 23)).toMatchObject({ level: 'Q', reads: true });
    expect(qrPlan(modules, 18.5).level).toBe('L');
  });

  test('says when it would be too small, and from which size on it is not', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 100, noNaN: true }), (mm) => {
        const plan = qrPlan(modules, mm);
        expect(plan.reads).toBe(plan.moduleMm >= smallestModuleMm);
        expect(plan.moduleMm * (modules[plan.level] + 2 * quietZone)).toBeCloseTo(mm, 6);
        expect(qrPlan(modules, plan.smallestMm).reads).toBe(true);
        expect(qrLevels).toContain(plan.level);
      }),
    );
    expect(qrPlan(modules, 10)).toMatchObject({ reads: false, smallestMm: 19 });
  });
});
