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
/**
 * What says shortly before a number that it is one to be called, in the four languages: then it need only be as long as one. So
 * those are found that plans keep free for stories, and those of ranges that are younger than the plans known here.
 */
const calledBefore =
  /(?<!\p{L})(?:call|ring|phone|telephone|mobile|fax|telefon|handy|mobil|rufe?|anrufen|appele[rz]|appelle|téléphone|portable|llama|llamar|llámame|teléfono|móvil|(?:tel|tél|fon|mob)\.?)(?!\p{L})[^.!?\d\n]{0,40}$/iu;
const fewestDigits = 7;
/** How far before a number is looked for what says that it is one, in characters. */
const mostBefore = 70;

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
      const before = text.slice(0, startsAt);
      if (otherWritten.test(written) || otherBefore.test(before)) continue;
      const isSaid = written.startsWith('+') || calledBefore.test(before.slice(-mostBefore));
      // With its country, or said to be one, it need only be as long as one; else it must be one that there can be.
      if (isSaid ? number.isPossible() : number.isValid() && national.test(written))
        found.set(startsAt, written);
    }
  return [...found].sort(([one], [other]) => one - other).map(([, written]) => written);
}
