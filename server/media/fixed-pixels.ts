import type { BlackOut, Fixes } from '#core/materials/fixes.ts';
import { fixedFrame, shownSize } from '#core/gallery/fixed-frame.ts';
import { openPicture } from './heic.ts';
import { fromRaw, rawOf, type RawPixels } from './raw-pixels.ts';

export { fromRaw, rawOf, type RawPixels };

/**
 * How far a blacked-out region is widened, in pixels of the decoded picture. Reducing a picture mixes neighbouring
 * pixels: Lanczos reaches three of the result's pixels, and a JPEG decoded at a fraction of its size one more. Beyond
 * that, nothing of what was under the region is left in any pixel.
 */
const mixedPx = 4;

/** Paints regions black, in place. */
export function blackOut({ data, width, height, channels }: RawPixels, regions: readonly BlackOut[]): void {
  const colours = channels === 2 ? 1 : Math.min(channels, 3);
  for (const region of regions) {
    const left = Math.max(0, Math.floor(region.x * width) - mixedPx);
    const right = Math.min(width, Math.ceil((region.x + region.width) * width) + mixedPx);
    const top = Math.max(0, Math.floor(region.y * height) - mixedPx);
    const bottom = Math.min(height, Math.ceil((region.y + region.height) * height) + mixedPx);
    for (let row = top; row < bottom; row++) {
      const from = (row * width + left) * channels;
      const to = (row * width + right) * channels;
      data.fill(0, from, to);
      // Black has to cover what lies behind a see-through picture as well.
      if (colours !== channels) for (let at = from + colours; at < to; at += channels) data[at] = 255;
    }
  }
}

/**
 * Brightness and contrast as one line through the colour values: the brightness and contrast functions of the W3C's
 * Filter Effects Module, one after the other, which is what the studio shows while a maker moves them.
 */
export function lightLine({ brightness = 0, contrast = 0 }: Fixes): { slope: number; offset: number } {
  return { slope: (1 + brightness) * (1 + contrast), offset: 255 * (0.5 - 0.5 * (1 + contrast)) };
}

/** An ellipse that fills a frame, for cutting a picture round. */
const ellipse = (width: number, height: number): Buffer =>
  Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}"><ellipse cx="50%" cy="50%" rx="50%" ry="50%"/></svg>`,
  );

/**
 * The pixels of a picture as it is shown, with all fixes burnt in. The original is only read.
 *
 * @param source an image file, or its bytes
 * @param mostWidthPx the result is made no wider, and no wider than what is there
 */
export async function fixedPixels(
  source: string | Buffer,
  fixes: Fixes,
  mostWidthPx: number,
): Promise<RawPixels> {
  const options = { limitInputPixels: false, sequentialRead: true } as const;
  const opened = await openPicture(source, options);
  const meta = await opened.metadata();
  const onItsSide = (meta.orientation ?? 1) >= 5;
  const upright = {
    widthPx: onItsSide ? meta.height : meta.width,
    heightPx: onItsSide ? meta.width : meta.height,
  };
  const shown = shownSize(upright, fixes);
  const scale = Math.min(1, mostWidthPx / shown.widthPx);
  const { slope, offset } = lightLine(fixes);
  const decoded = opened
    .clone()
    .autoOrient()
    .resize({ width: Math.max(1, Math.ceil(upright.widthPx * scale)), withoutEnlargement: true })
    .toColourspace('srgb');
  let pixels = rawOf(await decoded.raw().toBuffer({ resolveWithObject: true }));
  if (slope !== 1 || offset !== 0) {
    const colours = pixels.channels === 2 ? 1 : Math.min(pixels.channels, 3);
    const each = (value: number, other: number) =>
      Array.from({ length: pixels.channels }, (_, at) => (at < colours ? value : other));
    pixels = rawOf(
      await fromRaw(pixels)
        .linear(each(slope, 1), each(offset, 0))
        .raw()
        .toBuffer({ resolveWithObject: true }),
    );
  }
  if (fixes.blackOut) blackOut(pixels, fixes.blackOut);

  const frame = fixedFrame({ widthPx: pixels.width, heightPx: pixels.height }, fixes);
  if (fixes.turn)
    pixels = rawOf(
      await fromRaw(pixels)
        .rotate(frame.quarters * 90 + frame.fineDegrees, { background: '#808080' })
        .raw()
        .toBuffer({ resolveWithObject: true }),
    );
  // The level frame lies in the middle of the turned picture, whose corners are empty.
  const width = Math.min(pixels.width, Math.max(1, Math.round(frame.widthPx)));
  const height = Math.min(pixels.height, Math.max(1, Math.round(frame.heightPx)));
  const at = (all: number, level: number, offsetPx: number, size: number) =>
    Math.min(all - size, Math.max(0, Math.round((all - level) / 2 + offsetPx)));
  if (width !== pixels.width || height !== pixels.height)
    pixels = rawOf(
      await fromRaw(pixels)
        .extract({
          left: at(pixels.width, frame.levelPx.widthPx, frame.leftPx, width),
          top: at(pixels.height, frame.levelPx.heightPx, frame.topPx, height),
          width,
          height,
        })
        .raw()
        .toBuffer({ resolveWithObject: true }),
    );
  if (fixes.round)
    pixels = rawOf(
      await fromRaw(pixels)
        .ensureAlpha()
        .composite([{ input: ellipse(pixels.width, pixels.height), blend: 'dest-in' }])
        .raw()
        .toBuffer({ resolveWithObject: true }),
    );
  return pixels;
}
