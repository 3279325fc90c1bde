import type { CodePoints } from './unicode-range.ts';

/** One file of a font: what it draws. */
export interface Face {
  italic: boolean;
  ranges: readonly CodePoints[];
}

/** What stands on some pages, as far as fonts are concerned. */
export interface Letters {
  /** Code points beyond ASCII; ASCII is on every page. */
  beyondAscii: ReadonlySet<number>;
  italic: boolean;
}

/** The letters of some text beyond ASCII. */
export function beyondAsciiIn(text: string): Set<number> {
  return new Set(Array.from(text.matchAll(/[^\0-\x7f]/gu), ([letter]) => letter.codePointAt(0) ?? 0));
}

const draws = (face: Face, point: number): boolean =>
  face.ranges.some(([first, last]) => first <= point && point <= last);

/** Whether it draws the letters of English. */
const isForAscii = (face: Face): boolean => draws(face, 0x61);

/**
 * The faces that a browser may ask for: those whose range holds a letter that is there, the slanted ones only where
 * something is slanted. More may be in it than are asked for, never fewer.
 */
export function usedFaces<F extends Face>(faces: readonly F[], { beyondAscii, italic }: Letters): F[] {
  return faces.filter(
    (face) =>
      (italic || !face.italic) && (isForAscii(face) || [...beyondAscii].some((point) => draws(face, point))),
  );
}
