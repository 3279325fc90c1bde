import { expect, test } from '@jest/globals';
import { contrast } from './colour.ts';
import { ledgerSum } from './ledger-sum.ts';
import { asTheThemeComes, type Look } from './look.ts';
import { coloursOf } from './look-rules.ts';
import { themeNames } from './theme-names.ts';

test('counts every pair of every scheme that readers may get, and tells the one that is nearest to what it needs', () => {
  for (const theme of themeNames)
    for (const comfort of ['AA', 'AAA'] as const) {
      const look: Look = { theme, ...asTheThemeComes, comfort, scheme: 'device' };
      const [light, dark] = [coloursOf(look, 'light').pairs, coloursOf(look, 'dark').pairs];
      const { of, held, tightest } = ledgerSum(look);
      expect([of, held]).toEqual([light.length + dark.length, of]);
      const rooms = [...light, ...dark].map(
        // Inks that are printed over each other are measured as they come out, which no two colours say.
        ({ colours, ratio, needs, printed }) =>
          (printed ? ratio : contrast(colours.text, colours.ground)) / needs,
      );
      expect((tightest?.ratio ?? 0) / (tightest?.needs ?? 1)).toBeCloseTo(Math.min(...rooms), 5);
      expect(ledgerSum({ ...look, scheme: 'dark' }).of).toBe(dark.length);
    }
});
