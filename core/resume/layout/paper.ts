/** A paper in points of 1/72 inch: ISO 216 A4, ANSI Letter. */
export const paperSizes = {
  a4: { width: 595.28, height: 841.89 },
  letter: { width: 612, height: 792 },
} as const;
export type PaperName = keyof typeof paperSizes;

/** Of a page, in points. */
export const margins = { side: 51, top: 50, bottom: 50 } as const;

/** How wide the names of sections stand, and how far from what stands beside them; in points. */
export const labelColumn = { width: 92, gutter: 14 } as const;

/** In points, as it is set most comfortably. */
export const comfortableSizes = {
  text: 10.5,
  /** Times the size. */
  leading: 1.36,
  small: 8.5,
  name: 23,
  headline: 11.5,
  /** Above a section, and above an entry. */
  section: 13,
  entry: 6,
  /** Between the rule above a section and its first line. */
  rule: 5,
  /** How far lines of an entry stand in. */
  indent: 9,
} as const;

export const millimetres = (points: number): number => (points * 25.4) / 72;
