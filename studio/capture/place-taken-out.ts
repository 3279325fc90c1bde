import { withoutPlace } from '#core/capture/without-place.ts';

/** What became of the place in a file: taken out, not known to be out, or a kind of file that cameras put none in. */
export type PlaceTakenOut = 'out' | 'maybe' | 'none';

/** Formats that a browser draws and writes again. */
const redrawn = ['image/png', 'image/webp'];

/**
 * A file as it may be kept: pictures lose what could say where they were taken. JPEG files stay the same to the pixel, PNG and WebP
 * files are drawn again; of other pictures and clips it cannot be said from here.
 */
export async function placeTakenOut(file: Blob): Promise<{ file: Blob; place: PlaceTakenOut }> {
  const { type } = file;
  if (!/^(image|video)\//.test(type)) return { file, place: 'none' };
  const clean = withoutPlace(new Uint8Array(await file.arrayBuffer()));
  if (clean) return { file: new Blob([clean], { type: 'image/jpeg' }), place: 'out' };
  if (!redrawn.includes(type)) return { file, place: 'maybe' };
  try {
    const picture = await createImageBitmap(file);
    const canvas = new OffscreenCanvas(picture.width, picture.height);
    canvas.getContext('2d')?.drawImage(picture, 0, 0);
    picture.close();
    const drawn = await canvas.convertToBlob({ type, quality: 0.95 });
    return drawn.type === type ? { file: drawn, place: 'out' } : { file, place: 'maybe' };
  } catch {
    return { file, place: 'maybe' };
  }
}
