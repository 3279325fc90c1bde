import sharp, { type OverlayOptions } from 'sharp';
import { type SharePicture, sharePictureSize } from '#core/look/share-picture.ts';
import type { BlobStore } from './blob-store.ts';

/** What a share picture is drawn from. */
export interface ShareInput {
  /** Hash of the published JPEG of the picture on it; null where there is none. */
  from: string | null;
  drawing: SharePicture;
}

/** Draws a share picture as a JPEG. Text in it is outlines already: no font of the machine is asked for. */
export async function drawShare(blobs: BlobStore, { from, drawing }: ShareInput): Promise<Buffer> {
  const layers: OverlayOptions[] = [];
  const { picture, ground, over } = drawing;
  if (picture && from !== null) {
    const source = sharp(blobs.pathOf(from));
    const { width, height } = await source.metadata();
    const { part } = picture;
    const left = Math.min(width - 1, Math.round(part.left * width));
    const top = Math.min(height - 1, Math.round(part.top * height));
    const input = await source
      .extract({
        ...{ left, top },
        width: Math.max(1, Math.min(width - left, Math.round((part.right - part.left) * width))),
        height: Math.max(1, Math.min(height - top, Math.round((part.bottom - part.top) * height))),
      })
      .resize(picture.width, picture.height, { fit: 'fill' })
      .png({ compressionLevel: 0 })
      .toBuffer();
    layers.push({ input, left: picture.left, top: picture.top });
  }
  layers.push({ input: Buffer.from(over) });
  const { width, height } = sharePictureSize;
  return sharp({ create: { width, height, channels: 3, background: ground } })
    .composite(layers)
    .jpeg({ quality: 82, progressive: true })
    .toBuffer();
}
