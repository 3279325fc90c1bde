import { describe, expect, test } from '@jest/globals';
import postcss from 'postcss';
import { contrast } from './colour.ts';
import { asTheThemeComes, firstLook, type Look } from './look.ts';
import { coloursOf, lookProperties, lookRules } from './look-rules.ts';
import { themeNames } from './theme-names.ts';

const at = '.site.here';

/** The custom properties that hold in a browser of which some media queries are true. */
function held(css: string, ...media: string[]): Record<string, string> {
  const all: Record<string, string> = {};
  postcss.parse(css).walkDecls(({ prop, value, parent }) => {
    const around = parent?.parent;
    const query = around?.type === 'atrule' && (around as postcss.AtRule).name === 'media';
    const asked = query ? (around as postcss.AtRule).params.split(' and ') : [];
    if (asked.every((one) => media.includes(one))) all[prop] = value;
  });
  return all;
}
const dark = '(prefers-color-scheme:dark)';
const more = '(prefers-contrast:more)';

describe('rules of a look', () => {
  test('by night and by day, and with more contrast, exactly the colours of that palette hold', () => {
    for (const theme of themeNames) {
      const look: Look = { theme, ...asTheThemeComes, scheme: 'device' };
      for (const comfort of ['AA', 'AAA'] as const)
        for (const scheme of ['light', 'dark'] as const) {
          const now = held(
            lookRules(look, at),
            ...(comfort === 'AAA' ? [more] : []),
            ...(scheme === 'dark' ? [dark] : []),
          );
          expect(now['color-scheme']).toBe(scheme);
          for (const [role, colour] of Object.entries(coloursOf({ ...look, comfort }, scheme).colours))
            expect([theme, comfort, scheme, role, now[`--${role}`]]).toEqual([
              theme,
              comfort,
              scheme,
              role,
              colour,
            ]);
        }
    }
  });

  test('a look that is always dark has no light of the reader’s device', () => {
    const css = lookRules({ ...firstLook, scheme: 'dark' }, at);
    expect(css).not.toContain('prefers-color-scheme');
    expect(held(css)['color-scheme']).toBe('dark');
  });

  test('texts, spaces and corners follow what was chosen', () => {
    const usual = held(lookRules(firstLook, at));
    const now = held(lookRules({ ...firstLook, textSize: 1.2, spacing: 0.8, corners: 20 }, at));
    expect(Number(now['--text-size']) / Number(usual['--text-size'])).toBeCloseTo(1.2, 2);
    expect(Number(now['--space']) / Number(usual['--space'])).toBeCloseTo(0.8, 2);
    expect([now['--r'], now['--r-s'], usual['--r-s']]).toEqual(['20px', '999px', '0px']);
  });

  test('more contrast is more', () => {
    const css = lookRules(firstLook, at);
    const of = (now: Record<string, string>) => contrast(now['--ink-2'] ?? '', now['--paper-2'] ?? '');
    expect(of(held(css))).toBeLessThan(7);
    expect(of(held(css, more))).toBeGreaterThanOrEqual(7);
  });

  test('an element of its own gets what the rules say', () => {
    for (const theme of themeNames)
      for (const scheme of ['light', 'dark'] as const) {
        const look: Look = { theme, ...asTheThemeComes, scheme };
        expect(lookProperties(look, scheme)).toEqual(held(lookRules(look, at)));
      }
  });
});
