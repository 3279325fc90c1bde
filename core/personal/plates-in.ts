/**
 * How cars are numbered in Great Britain since 2001, in France since 2009, in Spain since 2000 and in Germany (from memory;
 * common practice). Which letters are never on one is not asked: an O may be a zero that was misread. Other countries number theirs like parts and standards, which would be asked about far too often.
 */
const patterns = [
  /(?<![\p{L}\d])[A-Z]{2}\d{2}\s?[A-Z]{3}(?![\p{L}\d])/gu,
  /(?<![\p{L}\d-])[A-Z]{2}[- ]\d{3}[- ][A-Z]{2}(?![\p{L}\d-])/gu,
  /(?<![\p{L}\d])\d{4}[- ]?[BCDFGHJ-NPR-TV-Z]{3}(?![\p{L}\d])/gu,
  /(?<![\p{L}\d-])(?!(?:DIN|ISO|IEC|EN|RAL|USB|NR)[- ])[A-ZÄÖÜ]{1,3}[- ·:][A-Z]{1,2}[- ]?\d{2,4}[EH]?(?![\p{L}\d])/gu,
];

/** What looks like the number plate of a car, as it stands in words that were read in a picture. */
export const platesIn = (text: string): string[] =>
  patterns.flatMap((pattern) => [...text.matchAll(pattern)].map(([plate]) => plate));
