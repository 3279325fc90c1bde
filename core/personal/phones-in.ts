import { type CountryCode, findPhoneNumbersInText } from 'libphonenumber-js/max';

/** Where whoever writes in a language may telephone without saying the country. */
const countries: Readonly<Record<string, readonly CountryCode[]>> = {
  en: ['GB', 'US', 'IE'],
  de: ['DE', 'AT', 'CH'],
  fr: ['FR', 'BE', 'CH'],
  es: ['ES', 'MX'],
};
/** What stands before a number that is no telephone's. */
const otherBefore =
  /(?:isbn|issn|doi|ean|gtin|no\.?|nr\.?|art\.?|#|iban|ref\.?|[€$£])[\s:.-]{0,3}(?:\d[\d\s-]*)?$|[\p{L}\d]$/iu;
/** Numbers that are written like no telephone's: a price, a share, an address of the internet, an ISBN of ten digits (ISO 2108). */
const otherWritten = /^(?:\d+[.,]\d\d|0[.,]\d.*|\d{1,3}(?:\.\d{1,3}){3}|\d([ -])\d{1,7}\1\d{1,7}\1[\dX])$/;
/** Without a country a number is dialled with a nought before it, or written in groups as its country does (ITU-T E.123). */
const national =
  /^\(?0|^\(?[2-9]\d{2}\)?[ .-][2-9]\d{2}[ .-]\d{4}(?!\d)|^[6-9]\d{2}([ .-])\d{3}\1\d{3}$|^[6-9]\d{2}([ .-])\d{2}\2\d{2}\2\d{2}$/;
const fewestDigits = 7;

/**
 * Telephone numbers in some words, as the numbering plans of the countries have them (libphonenumber's, which are those of
 * ITU-T E.164 and the national ones).
 *
 * @param language of the words; in others than the public ones only numbers with their country are found
 * @returns each as it stands there
 */
export function phonesIn(text: string, language: string): string[] {
  if ((text.match(/\d/g) ?? []).length < fewestDigits) return [];
  const found = new Map<number, string>();
  for (const country of countries[language] ?? [undefined])
    for (const { number, startsAt, endsAt } of findPhoneNumbersInText(text, {
      ...(country ? { defaultCountry: country } : {}),
      extended: true,
    })) {
      const written = text.slice(startsAt, endsAt);
      if (otherWritten.test(written) || otherBefore.test(text.slice(0, startsAt))) continue;
      // With its country it need only be as long as one; without, it must be one that there can be.
      if (written.startsWith('+') ? number.isPossible() : number.isValid() && national.test(written))
        found.set(startsAt, written);
    }
  return [...found].sort(([one], [other]) => one - other).map(([, written]) => written);
}
