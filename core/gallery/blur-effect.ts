/** A picture's luminance, a byte a pixel, row after row from the top left. */
export interface GreyPicture {
  pixels: Uint8Array;
  widthPx: number;
  heightPx: number;
}

/** How much of the edges blurring takes away, in all and of the sharpest corner of the picture. */
export interface BlurEffect {
  /** 0 for a picture of hard edges only, towards 1 for one that blurring changes no more. */
  whole: number;
  /** The same for that tile of the picture that has the least: a sharp thing before a soft background is sharp. */
  sharpestTile: number;
}

/** Side of the averaging window in pixels, and how many tiles there are each way. */
const windowPx = 11;
const tiles = 4;
/** A tile with less change than this, on average a pixel, is flat and says nothing about sharpness. */
const flatBelow = 1.2;

/** Index beyond an edge, mirrored with the edge pixel repeated: d c b a | a b c d | d c b a. */
function mirrored(at: number, length: number): number {
  if (at < 0) return -at - 1;
  return at >= length ? 2 * length - 1 - at : at;
}

/** Averages along rows with a running sum. */
function averagedAlongRows(pixels: Float32Array, width: number, height: number): Float32Array {
  const out = new Float32Array(pixels.length);
  const reach = (windowPx - 1) / 2;
  for (let y = 0; y < height; y++) {
    const row = y * width;
    let sum = 0;
    for (let x = -reach; x <= reach; x++) sum += pixels[row + mirrored(x, width)] ?? 0;
    for (let x = 0; x < width; x++) {
      out[row + x] = sum / windowPx;
      sum +=
        (pixels[row + mirrored(x + reach + 1, width)] ?? 0) - (pixels[row + mirrored(x - reach, width)] ?? 0);
    }
  }
  return out;
}

/** Absolute Sobel response to change along rows at one pixel that is not on the edge. No closure: it runs for each pixel. */
function change(pixels: Float32Array, width: number, x: number, y: number): number {
  const at = y * width + x;
  const by =
    (pixels[at - width + 1] ?? 0) -
    (pixels[at - width - 1] ?? 0) +
    2 * ((pixels[at + 1] ?? 0) - (pixels[at - 1] ?? 0)) +
    (pixels[at + width + 1] ?? 0) -
    (pixels[at + width - 1] ?? 0);
  return (by < 0 ? -by : by) / 8;
}

function turned(pixels: Float32Array, width: number, height: number): Float32Array {
  const out = new Float32Array(pixels.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) out[x * height + y] = pixels[y * width + x] ?? 0;
  return out;
}

/** Change along rows, and how much of it averaging takes away, summed over each tile. */
function alongRows(pixels: Float32Array, width: number, height: number) {
  const blurred = averagedAlongRows(pixels, width, height);
  const sharp = new Float64Array(tiles * tiles);
  const taken = new Float64Array(tiles * tiles);
  const pixelsIn = new Float64Array(tiles * tiles);
  const tileOf = (length: number) =>
    Uint8Array.from({ length }, (_, at) => Math.floor((at * tiles) / length));
  const [columns, rows] = [tileOf(width), tileOf(height)];
  for (let y = 2; y < height - 1; y++)
    for (let x = 2; x < width - 1; x++) {
      const tile = (rows[y] ?? 0) * tiles + (columns[x] ?? 0);
      const before = change(pixels, width, x, y);
      const after = change(blurred, width, x, y);
      sharp[tile] = (sharp[tile] ?? 0) + before;
      if (before > after) taken[tile] = (taken[tile] ?? 0) + before - after;
      pixelsIn[tile] = (pixelsIn[tile] ?? 0) + 1;
    }
  return { sharp, taken, pixelsIn };
}

const sum = (values: Float64Array): number => values.reduce((a, b) => a + b, 0);
const left = (sharp: number, taken: number): number => (sharp > 0 ? (sharp - taken) / sharp : 1);

/**
 * How blurred a picture is, without one to compare it with: F. Crété, T. Dolmiere, P. Ladret, M. Nicolas, "The blur
 * effect: perception and estimation with a new no-reference perceptual blur metric" (2007), with the Sobel filter and
 * the window of 11 pixels that scikit-image uses.
 *
 * @param picture at least 16 pixels each way
 */
export function blurEffect({ pixels, widthPx, heightPx }: GreyPicture): BlurEffect {
  const upright = new Float32Array(pixels);
  const across = alongRows(upright, widthPx, heightPx);
  const down = alongRows(turned(upright, widthPx, heightPx), heightPx, widthPx);
  let sharpestTile = 1;
  for (let ty = 0; ty < tiles; ty++)
    for (let tx = 0; tx < tiles; tx++) {
      const [a, d] = [ty * tiles + tx, tx * tiles + ty];
      const [sharpA, sharpD] = [across.sharp[a] ?? 0, down.sharp[d] ?? 0];
      if ((sharpA + sharpD) / (across.pixelsIn[a] ?? 1) < flatBelow) continue;
      sharpestTile = Math.min(
        sharpestTile,
        Math.max(left(sharpA, across.taken[a] ?? 0), left(sharpD, down.taken[d] ?? 0)),
      );
    }
  return {
    whole: Math.max(left(sum(across.sharp), sum(across.taken)), left(sum(down.sharp), sum(down.taken))),
    sharpestTile,
  };
}
