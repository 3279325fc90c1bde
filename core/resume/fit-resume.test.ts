import { describe, expect, test } from '@jest/globals';
import type { FitSection } from './fit-content.ts';
import { comfortable, fitResume, tightest, type Tightness, tightnesses } from './fit-resume.ts';

const breaks = { split: 4, orphan: 3 };
/** Ten lines of 12 in five entries, with gaps of 10. */
const measured = ({ gaps, leading, size }: Tightness): FitSection[] => [
  {
    ...{ id: 'work', heading: 0, gap: 0 },
    entries: Array.from({ length: 5 }, (_, at) => ({
      ...{ id: `entry-${at}`, head: 0, gap: 10 * gaps, loss: null },
      lines: [0, 1].map((n) => ({
        ...{ id: `line-${at}-${n}`, height: 12 * leading * size },
        loss: at === 0 && n === 0 ? null : at === 4 && n === 1 ? 2 : 7,
      })),
    })),
  },
];
const on = (height: number) => fitResume(measured, { height, pages: 1 }, breaks);

describe('setting a résumé', () => {
  test('tightens gaps before lines, and lines before text, and each no further than its floor', () => {
    const all = tightnesses();
    expect(all[0]).toEqual(comfortable);
    expect(all.at(-1)).toEqual(tightest);
    for (const [at, { gaps, leading, size }] of all.entries()) {
      if (leading < 1) expect(gaps).toBe(tightest.gaps);
      if (size < 1) expect(leading).toBe(tightest.leading);
      const before = all[at - 1];
      if (before) expect(gaps + leading + size).toBeLessThan(before.gaps + before.leading + before.size);
    }
  });

  test('is as comfortable as fits whole', () => {
    expect(on(160)).toMatchObject({ tightness: comfortable, whole: true });
    expect(on(150)).toMatchObject({ tightness: { gaps: 0.7, leading: 1, size: 1 }, whole: true });
    expect(on(138)).toMatchObject({ tightness: { gaps: 0.5, leading: 0.98, size: 1 }, whole: true });
    expect(on(118)).toMatchObject({ tightness: { gaps: 0.5, leading: 0.88, size: 0.92 }, whole: true });
  });

  test('where it does not fit at the tightest, says what may stay out, least loss first', () => {
    expect(on(110)).toMatchObject({
      tightness: tightest,
      whole: false,
      fitted: { out: ['line-4-1'], loss: 2 },
    });
    expect(on(100)?.fitted.loss).toBe(9);
    expect(on(9)).toBeNull();
  });
});
