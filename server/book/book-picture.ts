import sharp from 'sharp';
import type { ManifestFile } from '#core/release/manifest.ts';
import type { BlobStore } from '../media/blob-store.ts';

/** No picture is wider or higher, in pixels: at the width of the paper more than 200 for each inch. */
const most = 1600;

/**
 * A picture of a release as a PDF takes it. Its files were made by this server when it was published.
 *
 * @returns null where there is no such picture, or nothing that can be drawn
 */
export async function bookPicture(blobs: BlobStore, file: ManifestFile | undefined): Promise<Buffer | null> {
  if (!file?.type.startsWith('image/')) return null;
  const bytes = await blobs.read(file.hash);
  const drawn = sharp(bytes);
  const { width = 0, height = 0, hasAlpha = false } = await drawn.metadata();
  if (file.type === 'image/jpeg' && Math.max(width, height) <= most) return bytes;
  const sized = drawn.resize({ width: most, height: most, fit: 'inside', withoutEnlargement: true });
  return hasAlpha ? sized.png().toBuffer() : sized.jpeg({ quality: 85 }).toBuffer();
}
