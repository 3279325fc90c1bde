import { expect, test } from '@jest/globals';
import { contrast } from './colour.ts';
import { iconOf } from './icon.ts';
import { asTheThemeComes, firstLook } from './look.ts';
import { themeNames } from './theme-names.ts';

test('the first letter, whole, and nothing that is markup', () => {
  const letter = (name: string) => /<text[^>]*>(.*)<\/text>/.exec(iconOf(firstLook, name))?.[1];
  expect(letter('wren makes')).toBe('W');
  expect(letter('  étude')).toBe('É');
  expect(letter('<script>')).toBe('&#60;');
  expect(letter('\u05d0\u05d1')).toBe('\u05d0');
  expect(letter('\u{1f469}\u200d\u{1f527} workshop')).toBe('\u{1f469}\u200d\u{1f527}');
  expect(letter('')).toBe('');
});

test('the letter stands out from its field in every theme, by day and by night', () => {
  for (const theme of themeNames) {
    const icon = iconOf({ theme, ...asTheThemeComes }, 'Wren');
    const fills = [...icon.matchAll(/fill:(#[0-9a-f]{6})/g)].map(([, colour]) => colour ?? '');
    expect(fills.length % 2).toBe(0);
    for (let at = 0; at < fills.length; at += 2)
      expect(contrast(fills[at] ?? '', fills[at + 1] ?? '')).toBeGreaterThanOrEqual(4.5);
  }
});
