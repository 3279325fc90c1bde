/** Pairs of fonts that come with the app: one of each theme, and two more. */
export const fontPairNames = [
  'newsprint',
  'lantern',
  'signpost',
  'drawing',
  'kite',
  'poster',
  'almanac',
  'typed',
] as const;
export type FontPairName = (typeof fontPairNames)[number];
