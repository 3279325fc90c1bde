/** Words that say that a date is one of birth, in the languages a site can have. */
const says =
  /\b(?:born(?: on)?|date of birth|birth ?day|birth ?date|d\.?o\.?b\.?|geboren(?: am)?|geb\.|geburts(?:datum|tag)|née? le|date de naissance|anniversaire|nacid[oa](?: el)?|fecha de nacimiento|cumpleaños)(?![\p{L}])/giu;
const months =
  'jan|feb|mar|mär|maerz|apr|may|mai|jun|jul|aug|sep|oct|okt|nov|dec|dez|janv|fév|fev|avr|juin|juil|août|aout|déc|ene|abr|ago|dic|mayo|enero';
const day = String.raw`(?:\d{4}-\d{2}-\d{2}|\d{1,2}[./-]\d{1,2}[./-](?:\d{4}|\d{2})|\d{1,2}(?:\.|st|nd|rd|th|er)?\s(?:de\s|of\s)?(?:${months})\p{L}*\.?,?\s(?:de\s)?\d{4}|(?:${months})\p{L}*\.?\s\d{1,2}(?:st|nd|rd|th)?,?\s\d{4})`;
const dated = new RegExp(String.raw`^[\s:*–—-]{0,4}(?:the\s|el\s|le\s|am\s|on\s)?(${day})`, 'iu');
/** Whoever was born longer ago is no longer harmed by it (common practice of archives). */
const longAgoYears = 110;

/**
 * Dates that some words call a date of birth, with their day: a year alone finds nobody.
 *
 * @param year today's
 * @returns each as it stands there, without what calls it so
 */
export function birthDatesIn(text: string, year: number): string[] {
  return [...text.matchAll(says)].flatMap((match) => {
    const found = dated.exec(text.slice(match.index + match[0].length))?.[1];
    const written = /\d{4}/.exec(found ?? '')?.[0];
    if (found === undefined) return [];
    return written !== undefined && Number(written) < year - longAgoYears ? [] : [found];
  });
}
