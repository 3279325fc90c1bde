import { francAll } from 'franc-min';

/** Languages that are told apart, by their two letters (ISO 639-1) and their three (ISO 639-3). */
const told: Readonly<Record<string, string>> = {
  en: 'eng',
  de: 'deu',
  es: 'spa',
  fr: 'fra',
  it: 'ita',
  pt: 'por',
  nl: 'nld',
  pl: 'pol',
  sv: 'swe',
  cs: 'ces',
  tr: 'tur',
  ro: 'ron',
  hu: 'hun',
};
const only = Object.values(told);
/** Of fewer letters nothing is said, of more nothing more is learned. */
const [fewest, most] = [150, 800];
/** The language a text is said to be in has to be so much less likely than another one; 1 would be as likely. */
const lessLikely = 0.95;

/**
 * The language that a text reads as, where that is another one than it is said to be in. Told by which groups of three letters it has
 * (package `franc-min`).
 *
 * @param language BCP 47, that it is said to be in
 * @returns two letters; null where it may well be what it is said to be, is too short, or is in no language that is told apart
 */
export function readsAs(text: string, language: string): string | null {
  const said = told[language.slice(0, 2).toLowerCase()];
  const letters = text
    .replace(/[^\p{L}\s]/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, most);
  if (!said || letters.length < fewest) return null;
  const likely = francAll(letters, { only });
  const [best = 'und'] = likely[0] ?? [];
  const own = likely.find(([one]) => one === said)?.[1] ?? 0;
  if (best === said || own >= lessLikely) return null;
  return Object.keys(told).find((short) => told[short] === best) ?? null;
}
