import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { themeNames } from '#core/look/look.ts';
import { themes } from './themes.ts';

describe.each(themeNames)('the theme %s', (name) => {
  const read = (file: string) => readFile(join(import.meta.dirname, name, file), 'utf8');

  test('says of itself whether it slants words', async () => {
    expect(/\bitalic\b/.test(await read('theme.css'))).toBe(themes[name].slants);
  });

  test('asks for no weight that its fonts are cut down from', async () => {
    const sheets =
      (await read('theme.css')) + (await readFile(join(import.meta.dirname, '../styles/base.css'), 'utf8'));
    const asked = [...sheets.matchAll(/(?:wght|font-weight): (\d+)|font: (\d+) /g)].map(([, a, b]) =>
      Number(a ?? b),
    );
    expect(asked.length).toBeGreaterThan(3);
    const [lightest, heaviest] = themes[name].weights;
    for (const weight of asked) {
      expect(weight).toBeGreaterThanOrEqual(lightest);
      expect(weight).toBeLessThanOrEqual(heaviest);
    }
  });

  test('styles what wears it and nothing else, in the layer of the site', async () => {
    const sheet = (await read('theme.css')).replace(/\/\*[^]*?\*\//g, '');
    expect(sheet.trim()).toMatch(/^@layer site \{\s*\[data-theme='/);
    // Nothing stands beside the one rule that is about this theme.
    expect(sheet.match(/\[data-theme/g)).toEqual(['[data-theme']);
    expect(sheet).toContain(`[data-theme='${name}'] {`);
  });
});
