import { describe, expect, test } from '@jest/globals';
import { directionOf, languageSchema, offeredLanguages } from './language.ts';

describe('languages', () => {
  test('are kept by their canonical names, and only what is one is kept', () => {
    expect(languageSchema.parse('EN-gb')).toBe('en-GB');
    expect(languageSchema.parse('zh-hant')).toBe('zh-Hant');
    for (const bad of ['', 'x', 'de_DE', '"><script>', 'en us', 'a'.repeat(40)])
      expect(languageSchema.safeParse(bad).success).toBe(false);
    for (const tag of offeredLanguages) expect(languageSchema.parse(tag)).toBe(tag);
  });

  test('are written the way their script is', () => {
    // Common practice; `textInfo` of ECMA-402 says the same where an engine has it.
    for (const tag of ['ar', 'he', 'fa', 'ur', 'az-Arab']) expect(directionOf(tag)).toBe('rtl');
    for (const tag of ['en', 'ja', 'zh-Hant', 'az', 'ur-Latn']) expect(directionOf(tag)).toBe('ltr');
    for (const tag of offeredLanguages) {
      const locale = new Intl.Locale(tag) as Intl.Locale & { textInfo?: { direction?: string } };
      if (locale.textInfo?.direction)
        expect([tag, directionOf(tag)]).toEqual([tag, locale.textInfo.direction]);
    }
  });
});
