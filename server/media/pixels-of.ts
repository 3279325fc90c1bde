import { readFile } from 'node:fs/promises';
import { afterQuarters } from '#core/gallery/fixed-frame.ts';
import type { PictureSource } from '#core/gallery/picture-source.ts';
import { drawPage } from '../documents/draw-page.ts';
import { withPdf } from '../documents/pdfium.ts';
import type { BlobStore } from './blob-store.ts';
import { blackOut, fixedPixels, fromRaw, rawOf, type RawPixels } from './fixed-pixels.ts';

/**
 * Pixels of a source with its fixes burnt in; nothing else of the file is handed on.
 *
 * @param mostWidthPx they are made no wider than this
 */
export async function pixelsOf(
  blobs: BlobStore,
  source: PictureSource,
  mostWidthPx: number,
): Promise<RawPixels> {
  const { original, page, fixes } = source;
  const path = blobs.pathOf(original);
  if (page === null) return fixedPixels(path, fixes, mostWidthPx);
  const scale = Math.min(1, mostWidthPx / source.widthPx);
  const turn = fixes.turn ?? 0;
  // Drawn as it lies in the file, where its black-out lies too, and turned after that.
  const size = afterQuarters(
    {
      widthPx: Math.max(1, Math.round(source.widthPx * scale)),
      heightPx: Math.max(1, Math.round(source.heightPx * scale)),
    },
    -turn / 90,
  );
  const drawn = await withPdf(
    original,
    () => readFile(path),
    (pdf) => drawPage(pdf, page, size),
  );
  blackOut(drawn, fixes.blackOut ?? []);
  return turn === 0
    ? drawn
    : rawOf(await fromRaw(drawn).rotate(turn).raw().toBuffer({ resolveWithObject: true }));
}
