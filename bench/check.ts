import { performance } from 'node:perf_hooks';
import { Checker } from '#core/check/checker.ts';
import type { Material } from '#core/materials/material.ts';
import { isShown, type ShownPage } from '#core/pages/page.ts';
import { largeContent } from './large-site.ts';
import { median, type Row } from './table.ts';

const rounds = 21;
const site = { language: 'en', evidenceWanted: 3, underAge: false, lists: [] } as const;
const timeOf = (run: () => void): number => {
  const from = performance.now();
  run();
  return performance.now() - from;
};

/** What the rules notice after one edit, on 300 pages of 20 parts with 5,000 pictures, beside looking at all of it again. */
export function benchCheck(): Promise<Row> {
  const { pages: all, materials } = largeContent(300, 5000);
  const pages: ShownPage[] = all.filter(isShown);
  const people = Array.from({ length: 130 }, (_, at) => ({ name: `Juno Pell ${at}`, isKnown: at < 30 }));
  const whole = { site, today: '2026-11-29', pages, materials, people };
  const everything = Array.from({ length: 5 }, () => timeOf(() => new Checker().take(whole)));
  const checker = new Checker();
  checker.take(whole);
  const edits = Array.from({ length: rounds }, (_, at) => {
    const page = pages[(at * 13) % pages.length] as ShownPage;
    const picture = materials[(at * 37) % materials.length] as Material;
    return timeOf(() => {
      checker.take({ pages: [{ ...page, title: `Round ${at}` }] });
      checker.take({ materials: [{ ...picture, alt: `Round ${at}` }] });
    });
  });
  const [ours, other] = [median(edits), median(everything)];
  return Promise.resolve({
    what: 'what Check notices after an edit, on 300 pages with 5,000 pictures',
    ours: `${ours.toFixed(1)} ms`,
    against: 'looking at every page again',
    other: `${other.toFixed(0)} ms`,
    ratio: ours / other,
    wanted: 'under 100 ms',
    reached: ours < 100,
  });
}
