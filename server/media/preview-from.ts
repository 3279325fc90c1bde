import type { PreviewSize } from '#contract/material-paths.ts';
import { fromRaw, type RawPixels } from './fixed-pixels.ts';

/** A picture as the studio shows it: WebP, its longest side of the size asked for or less. */
export interface Preview {
  size: PreviewSize;
  contents: Buffer;
  widthPx: number;
  heightPx: number;
}

/** Makes a preview from decoded pixels. */
export async function previewFrom(pixels: RawPixels, size: PreviewSize): Promise<Preview> {
  const made = await fromRaw(pixels)
    .resize({ width: size, height: size, fit: 'inside', withoutEnlargement: true })
    .webp({ quality: 76, effort: 2 })
    .toBuffer({ resolveWithObject: true });
  return { size, contents: made.data, widthPx: made.info.width, heightPx: made.info.height };
}
