/**
 * How light and how dark a picture is at its lightest and darkest, in cells of a grid. Small enough to travel with a page, and
 * enough to say what words over any part of it have to stand out from.
 */
export interface LightMap {
  columns: number;
  rows: number;
  /** Of each cell, row by row: relative luminance as sRGB has it for a grey, 0 to 255. */
  lightest: Uint8Array;
  darkest: Uint8Array;
}

export const lightMapSize = 24;

/**
 * Which pixels of a cell count as its lightest and darkest: all but the outermost half of a hundredth. In a picture 1400 pixels
 * wide a cell has about 2,500 of them, and what is left out is a speck of less than four pixels either way, thinner than the
 * stem of the smallest letter that ever lies there; a single glint does not darken a whole picture.
 */
export const outermost = 0.005;

/** Relative luminance of WCAG from sRGB channels of 0 to 255, as the grey that has it. */
const linear = Float64Array.from({ length: 256 }, (_, at) => {
  const value = at / 255;
  return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
});
export const greyOf = (luminance: number): number =>
  255 * (luminance <= 0.0031308 ? luminance * 12.92 : 1.055 * luminance ** (1 / 2.4) - 0.055);

/**
 * Reads the lightness of a picture.
 *
 * @param pixels red, green and blue in turn, and alpha where there are four channels, 0 to 255. What is seen through shows any ground,
 *   so that it counts as both black and white.
 */
export function lightMapOf(
  pixels: Uint8Array | Uint8ClampedArray,
  { widthPx, heightPx, channels }: { widthPx: number; heightPx: number; channels: 3 | 4 },
): LightMap {
  const cells = lightMapSize ** 2;
  const counts = Array.from({ length: cells }, () => new Uint32Array(256));
  const seenThrough = new Uint8Array(cells);
  for (let y = 0; y < heightPx; y++) {
    const row = Math.floor((y * lightMapSize) / heightPx) * lightMapSize;
    for (let x = 0; x < widthPx; x++) {
      const at = (y * widthPx + x) * channels;
      const cell = row + Math.floor((x * lightMapSize) / widthPx);
      if (channels === 4 && (pixels[at + 3] ?? 255) < 250) seenThrough[cell] = 1;
      const luminance =
        0.2126 * (linear[pixels[at] ?? 0] ?? 0) +
        0.7152 * (linear[pixels[at + 1] ?? 0] ?? 0) +
        0.0722 * (linear[pixels[at + 2] ?? 0] ?? 0);
      const grey = Math.round(greyOf(luminance));
      const count = counts[cell];
      if (count) count[grey] = (count[grey] ?? 0) + 1;
    }
  }
  const lightest = new Uint8Array(cells);
  const darkest = new Uint8Array(cells);
  for (const [cell, count] of counts.entries()) {
    if (seenThrough[cell]) {
      lightest[cell] = 255;
      continue;
    }
    const left = Math.floor(count.reduce((sum, one) => sum + one, 0) * outermost);
    darkest[cell] = beyond(count, left, 0, 1);
    lightest[cell] = beyond(count, left, 255, -1);
  }
  // A picture of fewer pixels than cells leaves some without any: there it may be like any of the others.
  const read = counts.flatMap((count, cell) =>
    seenThrough[cell] || count.some((one) => one > 0) ? [cell] : [],
  );
  const most = Math.max(...read.map((cell) => lightest[cell] ?? 255));
  const least = Math.min(...read.map((cell) => darkest[cell] ?? 0));
  const known = new Set(read);
  for (let cell = 0; cell < cells; cell++)
    if (!known.has(cell)) {
      lightest[cell] = most;
      darkest[cell] = least;
    }
  return { columns: lightMapSize, rows: lightMapSize, lightest, darkest };
}

/** The first grey from one end beyond which more than so many pixels lie. */
function beyond(count: Uint32Array, left: number, from: number, step: 1 | -1): number {
  let sum = 0;
  for (let grey = from; grey >= 0 && grey < 256; grey += step) {
    sum += count[grey] ?? 0;
    if (sum > left) return grey;
  }
  return from;
}

/** A map as text: its lightest and darkest in hexadecimal, one after the other. */
export const lightMapText = ({ lightest, darkest }: LightMap): string =>
  [...lightest, ...darkest].map((value) => value.toString(16).padStart(2, '0')).join('');

/** The map that was written as text; null where the text is none. */
export function lightMapFrom(text: string): LightMap | null {
  const cells = lightMapSize ** 2;
  if (!new RegExp(`^[0-9a-f]{${cells * 4}}$`).test(text)) return null;
  const values = Uint8Array.from({ length: cells * 2 }, (_, at) =>
    parseInt(text.slice(at * 2, at * 2 + 2), 16),
  );
  return {
    columns: lightMapSize,
    rows: lightMapSize,
    lightest: values.subarray(0, cells),
    darkest: values.subarray(cells),
  };
}

/** A part of a picture, as shares of its width and height. */
export interface Part {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The lightest and darkest of a part of a picture, 0 to 255; every cell it touches counts. */
export function extremesIn(map: LightMap, part: Part): { lightest: number; darkest: number } {
  const from = (share: number, of: number) => Math.min(of - 1, Math.max(0, Math.floor(share * of + 1e-9)));
  const to = (share: number, of: number) => Math.min(of - 1, Math.max(0, Math.ceil(share * of - 1e-9) - 1));
  let [lightest, darkest] = [0, 255];
  for (let row = from(part.top, map.rows); row <= to(part.bottom, map.rows); row++)
    for (let column = from(part.left, map.columns); column <= to(part.right, map.columns); column++) {
      lightest = Math.max(lightest, map.lightest[row * map.columns + column] ?? 255);
      darkest = Math.min(darkest, map.darkest[row * map.columns + column] ?? 0);
    }
  return { lightest, darkest };
}
