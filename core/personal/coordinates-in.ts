/** As a map gives them: latitude, then longitude, in decimals of about a hundred metres or finer, one of them of ten. */
const decimals = /(?<![\d.,-])(-?\d{1,2}\.\d{3,})\s?°?\s?[NS]?[,;/ ]\s*(-?\d{1,3}\.\d{3,})(?![\d.])/g;
/** In degrees and minutes, with or without seconds: 54°19′16″N 10°08′05″E. */
const sexagesimal =
  /\d{1,2}\s?°\s?\d{1,2}(?:[.,]\d+)?\s?['′’](?:\s?\d{1,2}(?:[.,]\d+)?\s?(?:["″”]|''))?\s?[NS],?\s{0,2}\d{1,3}\s?°\s?\d{1,2}(?:[.,]\d+)?\s?['′’](?:\s?\d{1,2}(?:[.,]\d+)?\s?(?:["″”]|''))?\s?[EWO]/g;

/**
 * Places on the earth that somebody can be found at. Pairs of numbers that are no latitude and longitude are none; neither are
 * two that are both less than one, which are shares of something.
 *
 * @returns each as it stands there
 */
export function coordinatesIn(text: string): string[] {
  const found: string[] = [];
  for (const match of text.matchAll(decimals)) {
    const [latitude, longitude] = [Number(match[1]), Number(match[2])];
    if (!/\.\d{4}/.test(match[0])) continue;
    const isPlace = Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180;
    if (isPlace && (Math.abs(latitude) >= 1 || Math.abs(longitude) >= 1)) found.push(match[0].trim());
  }
  return [...found, ...(text.match(sexagesimal) ?? [])];
}
