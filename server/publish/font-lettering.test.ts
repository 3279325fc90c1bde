import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fontPairNames } from '#core/look/font-pair-names.ts';
import { type FontPair, fontPairs } from '#core/look/font-pairs.ts';
import { linesOf } from '#core/look/lettering.ts';
import { pairLettering } from './font-lettering.ts';

const folder = join(import.meta.dirname, '../../dist/site-assets');
const index = JSON.parse(readFileSync(join(folder, 'index.json'), 'utf8')) as {
  fonts: Record<string, { drawn: { display: string[]; text: string[] } }>;
};
const letteringOf = (name: (typeof fontPairNames)[number]) =>
  pairLettering(folder, index.fonts[name]?.drawn ?? { display: [], text: [] }, fontPairs[name]);

// The beginning of Lewis Carroll’s “Alice’s Adventures in Wonderland” (1865), for English of a usual mixture of letters.
const english = `Alice was beginning to get very tired of sitting by her sister on the bank, and of having nothing to do: once or
  twice she had peeped into the book her sister was reading, but it had no pictures or conversations in it, ‘and what is the use of a
  book,’ thought Alice ‘without pictures or conversation?’ So she was considering in her own mind (as well as she could, for the hot day
  made her feel very sleepy and stupid), whether the pleasure of making a daisy-chain would be worth the trouble of getting up and
  picking the daisies, when suddenly a White Rabbit with pink eyes ran close by her.`;

describe.each(fontPairNames)('the pair %s', (name) => {
  const pair: FontPair = fontPairs[name];
  const { display, text } = letteringOf(name);

  // 45 to 75 is what typographers ask for, 66 the ideal (Bringhurst, The Elements of Typographic Style, 2.1.2; from memory).
  test('sets lines of 60 to 75 letters in its measure', () => {
    const lines = linesOf(english, text, parseFloat(pair.properties['measure'] ?? '')).slice(0, -1);
    const letters = lines.reduce((sum, line) => sum + line.length, 0) / lines.length;
    expect(letters).toBeGreaterThanOrEqual(60);
    expect(letters).toBeLessThanOrEqual(75);
  });

  test('draws what Europeans write with Latin letters, and says of what it cannot draw that it cannot', () => {
    for (const lettering of [display, text]) {
      expect(lettering.draws('Fünf Stühle, łódź, garçon, señor, Ærø, “kite” — 1865…')).toBe(true);
      for (const words of ['潮时钟', 'ساعة المد', 'שעון', '🪁']) expect(lettering.draws(words)).toBe(false);
    }
  });

  test('an outline is as wide as it was measured, and has a shape for every letter', () => {
    const d = display.outline('Hamburgefonstiv', 100, 200, 50);
    const numbers = [...d.matchAll(/[MLQC]([^MLQCZ]+)/g)].map(([, pair]) =>
      (pair ?? '').trim().split(/[ ,]+/).map(Number),
    );
    const xs = numbers.flatMap((pair) => pair.filter((_, at) => at % 2 === 0));
    const ys = numbers.flatMap((pair) => pair.filter((_, at) => at % 2 === 1));
    expect(Math.min(...xs)).toBeGreaterThan(95);
    expect(Math.max(...xs)).toBeLessThan(100 + display.widthOf('Hamburgefonstiv') * 50 + 5);
    expect(Math.max(...xs)).toBeGreaterThan(100 + display.widthOf('Hamburgefonsti') * 50 - 5);
    // The g goes below the line, the H stands on it.
    expect(Math.max(...ys)).toBeGreaterThan(203);
    expect(Math.min(...ys)).toBeLessThan(200 - 25);
  });
});
