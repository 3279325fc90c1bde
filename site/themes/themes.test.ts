import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { fontPairs } from '#core/look/font-pairs.ts';
import { themeDefaults } from '#core/look/theme-defaults.ts';
import { themeNames } from '#core/look/theme-names.ts';
import { themes } from './themes.ts';

const read = (file: string) => readFile(join(import.meta.dirname, '..', file), 'utf8');
const plain = (sheet: string) => sheet.replace(/\/\*[^]*?\*\//g, '');

describe.each(themeNames)('the theme %s', (name) => {
  const sheet = async () => plain(await read(`themes/${name}/theme.css`));

  test('says of itself whether it slants words', async () => {
    expect(/\bitalic\b/.test(await sheet())).toBe(themes[name].slants);
  });

  test('asks for no weight that its fonts are cut down from', async () => {
    const all = (await sheet()) + plain(await read('styles/base.css'));
    const [lightest, heaviest] = fontPairs[themeDefaults[name].fonts].weights;
    const asked = [...all.matchAll(/(?:wght|font-weight): (\d+)|font: (?:italic )?(\d+) /g)].map(([, a, b]) =>
      Number(a ?? b),
    );
    expect(asked.length).toBeGreaterThan(2);
    for (const weight of asked) {
      expect(weight).toBeGreaterThanOrEqual(lightest);
      expect(weight).toBeLessThanOrEqual(heaviest);
    }
  });

  test('styles what wears it and nothing else, in the layer of the site', async () => {
    const text = await sheet();
    expect(text.trim()).toMatch(/^@layer site \{\s*\[data-theme='/);
    // Nothing stands beside the one rule that is about this theme.
    expect(text.match(/\[data-theme/g)).toEqual(['[data-theme']);
    expect(text).toContain(`[data-theme='${name}'] {`);
  });

  test('has no colour of its own: all of them are computed', async () => {
    // Black and white are what prints and masks are made of.
    const colours = (
      (await sheet()).match(/#[0-9a-f]{3,8}\b|\b(?:rgba?|hsla?|oklch|oklab|lab|lch)\(/gi) ?? []
    ).filter((one) => !/^#(000|fff)/i.test(one));
    expect(colours).toEqual([]);
  });
});
