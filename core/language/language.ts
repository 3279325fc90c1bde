import { z } from 'zod';

/** Whether a name of a language is well formed (BCP 47), as its maker's browser and this server read it. */
function isLanguage(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
}

/** A language by its name in BCP 47, for example `en`, `pt-BR` or `zh-Hant`. */
export const languageSchema = z
  .string()
  .min(2)
  .max(35)
  .refine(isLanguage, 'This is not the name of a language.')
  .transform((tag) => Intl.getCanonicalLocales(tag)[0] ?? tag);

/** Languages that are offered; any other can be kept too. */
export const offeredLanguages = (
  'en de es fr ar bg bn ca cs cy da el et eu fa fi ga gl he hi hr hu id is it ja ko lt lv nb nl pl pt ro ru sk sl sr sv sw ta ' +
  'th tr uk ur vi zh-Hans zh-Hant'
).split(' ');

/** Scripts that are written from right to left (Unicode Character Database, Bidi_Class R and AL; from memory). */
const fromTheRight = new Set([
  'Adlm',
  'Arab',
  'Aran',
  'Hebr',
  'Mand',
  'Nkoo',
  'Rohg',
  'Samr',
  'Syrc',
  'Thaa',
]);

/** Which way a language is written: by the script it has, or the one it has most often (CLDR, likely subtags). */
export const directionOf = (language: string): 'ltr' | 'rtl' =>
  fromTheRight.has(new Intl.Locale(language).maximize().script ?? '') ? 'rtl' : 'ltr';
