/** Themes by name; each has its sheet in a folder of `site/themes`, and its colours in `recipes`. */
export const themeNames = [
  'broadsheet',
  'lamplight',
  'signal',
  'chalkline',
  'fairwind',
  'overprint',
] as const;
export type ThemeName = (typeof themeNames)[number];
