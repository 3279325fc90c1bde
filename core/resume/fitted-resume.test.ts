import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { fittedResume } from './fitted-resume.ts';
import { comfortable, tightest } from './fit-resume.ts';
import { margins, paperSizes } from './layout/paper.ts';
import type { ContentEntry, ResumeContent } from './layout/resume-content.ts';
import type { WidthOf } from './layout/set-runs.ts';
import { resumeSections } from './sections.ts';

const half: WidthOf = (words, face) => [...words].length * (face === 'strong' ? 0.55 : 0.5);
const wanted = { pages: 1, paper: 'a4' as const, wants: '', ends: new Map(), now: '2026-11' };
const entry = (id: string, lines: string[], more: Partial<ContentEntry> = {}): ContentEntry => ({
  ...{ id, title: `Work ${id}`, link: null, level: '', place: '', when: '2025', proofs: [] },
  lines: lines.map((text, at) => ({ id: `${id}-${at}`, text, proof: null })),
  ...more,
});
const content = (entries: ContentEntry[]): ResumeContent => ({
  ...{ language: 'en', name: 'Wren', headline: '', contact: [], newest: null },
  sections: [{ section: 'work', label: 'Work', entries }],
});
const many = (count: number) =>
  content(Array.from({ length: count }, (_, at) => entry(`e${at}`, ['Mended a crate.', 'Carried it back.'])));

describe('a résumé on its pages', () => {
  test('is set comfortably where that fits, and tighter step by step where it does not: gaps, lines, text', () => {
    expect(fittedResume(many(3), wanted, half)).toMatchObject({
      tightness: comfortable,
      fits: true,
      couldStayOut: [],
    });
    const tightness = [14, 15, 16, 17, 18, 19].map(
      (count) => fittedResume(many(count), wanted, half).tightness,
    );
    for (const [at, now] of tightness.entries()) {
      const before = tightness[at - 1] ?? comfortable;
      expect(now.gaps).toBeLessThanOrEqual(before.gaps);
      expect(now.leading).toBeLessThanOrEqual(before.leading);
      expect(now.size).toBeLessThanOrEqual(before.size);
      // What comes later is touched only when what comes before has given all it may.
      if (now.leading < 1) expect(now.gaps).toBe(tightest.gaps);
      if (now.size < 1) expect(now.leading).toBe(tightest.leading);
    }
    expect(tightness.some(({ gaps }) => gaps < 1)).toBe(true);
  });

  test('where it does not fit, all of it is shown on more pages and the least that could stay out is told, with why', () => {
    const old = entry('old', ['Swept the yard.'], { when: '2012' });
    const proof = { title: 'Clock', to: 'https://kite.example/clock/' };
    const proved = entry('proved', ['Built the clock.'], { proofs: [proof] });
    const long = content([...(many(24).sections[0]?.entries ?? []), old, proved]);
    const fitted = fittedResume(long, { ...wanted, ends: new Map([['old', '2012']]) }, half);
    expect(fitted.fits).toBe(false);
    expect(fitted.pages).toHaveLength(2);
    expect(fitted.pages.flatMap(({ blocks }) => blocks.map(({ block }) => block.id))).toContain('old');
    const out = fitted.couldStayOut ?? [];
    expect(out.length).toBeGreaterThan(0);
    expect(out.map(({ id }) => id)).not.toContain('proved');
    for (const { reasons } of out) expect(reasons).toContain('no-proof');
    // Without what was named, it fits.
    const left = new Set(out.map(({ id }) => id));
    const shorter = content(
      (long.sections[0]?.entries ?? [])
        .filter(({ id }) => !left.has(id))
        .map((one) => ({ ...one, lines: one.lines.filter(({ id }) => !left.has(id)) })),
    );
    expect(fittedResume(shorter, wanted, half).fits).toBe(true);
  });

  test('what is asked for stays before what is not, and what repeats goes first', () => {
    const entries = Array.from({ length: 34 }, (_, at) =>
      entry(`e${at}`, [at === 5 ? 'Welded thin tube.' : `Mended crate after crate, number ${at}.`]),
    );
    const fitted = fittedResume(content(entries), { ...wanted, wants: 'welding' }, half);
    const out = fitted.couldStayOut ?? [];
    expect(out.length).toBeGreaterThan(0);
    expect(out.map(({ id }) => id)).not.toContain('e5');
    expect(out.map(({ id }) => id)).not.toContain('e5-0');
    expect(out.flatMap(({ reasons }) => reasons)).toContain('not-asked');
  });

  test('stands within the margins, nothing over anything else, every line once', () => {
    const words = fc.array(fc.constantFrom('mended', 'a', 'Donaudampfschifffahrt', 'tide', '2025,'), {
      maxLength: 30,
    });
    const anEntry = fc.record({
      ...{ title: words, when: fc.constantFrom('', '2025', 'September to December 2025') },
      lines: fc.array(words, { maxLength: 5 }),
    });
    fc.assert(
      fc.property(
        fc.array(fc.array(anEntry, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 4 }),
        fc.constantFrom('a4' as const, 'letter' as const),
        fc.integer({ min: 1, max: 2 }),
        (sections, paper, pages) => {
          const of: ResumeContent = {
            ...content([]),
            sections: sections.map((entries, s) => ({
              ...{ section: resumeSections[s] ?? 'work', label: 'Fähigkeiten und mehr' },
              entries: entries.map(({ title, when, lines }, e) =>
                entry(
                  `s${s}e${e}`,
                  lines.map((line) => line.join(' ')),
                  { title: title.join(' '), when },
                ),
              ),
            })),
          };
          const fitted = fittedResume(of, { ...wanted, paper, pages }, half);
          const size = paperSizes[paper];
          const seen: string[] = [];
          for (const page of fitted.pages) {
            let below: number = margins.top;
            for (const { block, top } of page.blocks) {
              seen.push(block.id);
              expect(top).toBeGreaterThanOrEqual(below - 1e-6);
              below = top + block.height;
              for (const { line } of block.lines)
                for (const { x, width } of line.runs)
                  expect(line.x + x + width).toBeLessThanOrEqual(size.width - margins.side + 1e-6);
            }
            expect(below).toBeLessThanOrEqual(size.height - margins.bottom + 1e-6);
          }
          const all = of.sections.flatMap(({ entries }) =>
            entries.flatMap((one) => [one.id, ...one.lines.map(({ id }) => id)]),
          );
          expect(seen.filter((id) => !id.startsWith('@'))).toEqual(all);
        },
      ),
      { numRuns: 150 },
    );
  });
});
