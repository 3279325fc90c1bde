import { type PaperName, paperSizes } from '../resume/layout/paper.ts';

/** How a book's pages are set, in points of 1/72 inch. */
export const bookMargins = { side: 62, top: 62, bottom: 72 } as const;

/** Words stand in a narrower column than pictures: about seventy letters a line (common practice). */
export const wordsWidth = 390;
export const factName = { width: 92, gutter: 12 } as const;
export const itemIndent = 14;

interface Setting {
  size: number;
  /** From one line to the next, times the size. */
  leading: number;
  /** Room above, not kept at the top of a page. */
  above: number;
}

export const settings = {
  cover: { size: 34, leading: 1.12, above: 150 },
  covered: { size: 30, leading: 1.12, above: 36 },
  title: { size: 25, leading: 1.14, above: 18 },
  lead: { size: 13, leading: 1.42, above: 10 },
  h2: { size: 15, leading: 1.24, above: 22 },
  h3: { size: 12, leading: 1.3, above: 16 },
  h4: { size: 10.5, leading: 1.36, above: 12 },
  foot: { size: 9.5, leading: 1.5, above: 6 },
  plain: { size: 10.5, leading: 1.46, above: 7 },
  quote: { size: 12.5, leading: 1.44, above: 12 },
  quiet: { size: 9, leading: 1.4, above: 4 },
  fact: { size: 9.5, leading: 1.42, above: 4 },
  item: { size: 10.5, leading: 1.42, above: 3 },
  row: { size: 9.5, leading: 1.36, above: 4 },
  entry: { size: 11, leading: 1.5, above: 0 },
} as const satisfies Record<string, Setting>;
export type SettingName = keyof typeof settings;

/** Rows of pictures, as galleries break them. */
export const pictureRows = { gap: 8, target: 170, most: 300, small: 150, above: 12, caption: 4 } as const;

/** What lies between the margins. */
export function roomOf(paper: PaperName): { left: number; top: number; width: number; bottom: number } {
  const { width, height } = paperSizes[paper];
  return {
    left: bookMargins.side,
    top: bookMargins.top,
    width: width - 2 * bookMargins.side,
    bottom: height - bookMargins.bottom,
  };
}
