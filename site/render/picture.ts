import type { Id } from '#core/id.ts';

/** One file of a picture, as the page refers to it: a path relative to the entrance, or an address in the studio. */
export interface PictureFile {
  url: string;
  widthPx: number;
}

/** A picture ready to be put on a page: its words, its size as seen, and the files to choose from. */
export interface Picture {
  id: Id;
  alt: string;
  caption: string;
  widthPx: number;
  heightPx: number;
  /** Shown while the picture loads, #rrggbb; null for a round one, whose corners are empty. */
  colour: string | null;
  /** Point kept in view when cropped, as shares of width and height. */
  focus: { x: number; y: number };
  /** How light it is, part by part (see `LightMap`), where words may lie over it. */
  light?: string;
  /** The moving form of a picture that moves, for whoever asks for it; it is shown still until then. */
  moving: string | null;
  /** Newer formats first; each list from the smallest width to the largest. */
  sources: { type: string; files: PictureFile[] }[];
  /** JPEG for every browser, from the smallest width to the largest; never empty. */
  fallback: PictureFile[];
}
