import sharp from 'sharp';
import { hashSidePx } from '#core/gallery/perceptual-hash.ts';
import { pictureFeatures, type PictureFeatures } from '#core/gallery/picture-features.ts';
import { patchSquarePx } from '#core/gallery/shared-patches.ts';

/** Counts up when the way of reading changes, so that old readings are made again. */
export const featuresVersion = 1;

/**
 * Reads what tells a picture from others out of its small preview (longest side 480 px).
 *
 * @throws Error when the bytes are no picture
 */
export async function readFeatures(preview: Buffer): Promise<PictureFeatures> {
  const { data, info } = await sharp(preview)
    .flatten({ background: '#ffffff' })
    .raw()
    .toBuffer({ resolveWithObject: true });
  const picture = sharp(data, { raw: { width: info.width, height: info.height, channels: info.channels } });
  const square = (side: number) =>
    picture.clone().greyscale().resize(side, side, { fit: 'fill' }).raw().toBuffer();
  const [grey, hashSquare, patchSquare, colours] = await Promise.all([
    picture.clone().greyscale().raw().toBuffer({ resolveWithObject: true }),
    square(hashSidePx),
    square(patchSquarePx),
    picture.clone().resize(4, 4, { fit: 'fill' }).toColourspace('srgb').raw().toBuffer(),
  ]);
  return pictureFeatures(
    {
      grey: { pixels: grey.data, widthPx: grey.info.width, heightPx: grey.info.height },
      hashSquare,
      patchSquare,
      colours,
    },
    (bytes) => Buffer.from(bytes).toString('base64'),
  );
}
