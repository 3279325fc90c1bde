import { performance } from 'node:perf_hooks';
import type { FitSection } from '#core/resume/fit-content.ts';
import { fitResume, type Tightness } from '#core/resume/fit-resume.ts';
import { median, type Row } from './table.ts';

const rounds = 15;

/** A résumé of 120 lines in four sections and 24 entries, with losses and heights that hardly two of them share. */
function resume({ gaps, leading, size }: Tightness): FitSection[] {
  let seed = 7;
  const next = (below: number) => (seed = (seed * 48271) % 2147483647) % below;
  return Array.from({ length: 4 }, (_, s) => ({
    ...{ id: `section-${s}`, heading: 18 * size, gap: 16 * gaps },
    entries: Array.from({ length: 6 }, (_, e) => ({
      ...{ id: `entry-${s}-${e}`, head: 14 * leading * size, gap: 8 * gaps },
      loss: e === 0 ? null : 20 + next(80),
      lines: Array.from({ length: 5 }, (_, l) => ({
        id: `line-${s}-${e}-${l}`,
        height: (next(3) === 0 ? 2 : 1) * 13 * leading * size,
        loss: 1 + next(40),
      })),
    })),
  }));
}

/** Fits a résumé of 120 lines on one and on two pages of A4, where lines have to stay out. */
export async function benchFit(): Promise<Row[]> {
  return [1, 2].map((pages) => {
    const times = Array.from({ length: rounds }, () => {
      const from = performance.now();
      const fitted = fitResume(resume, { height: 842 - 2 * 48, pages }, { split: 12, orphan: 8 });
      if (!fitted) throw new Error('The résumé of the bench does not fit.');
      return performance.now() - from;
    });
    const ours = median(times);
    return {
      what: `fitting a résumé of 120 lines on ${pages === 1 ? 'one page' : 'two pages'}, exactly`,
      ours: `${ours.toFixed(1)} ms`,
      against: 'the limit',
      other: '50 ms',
      ratio: ours / 50,
      wanted: 'under 50 ms',
      reached: ours < 50,
    };
  });
}
