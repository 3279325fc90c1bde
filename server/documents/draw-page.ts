import type { RawPixels } from '../media/fixed-pixels.ts';
import { type OpenPdf, withPage } from './pdfium.ts';

/** fpdfview.h: four bytes a pixel, the last one not used; draw annotations; red before blue. */
const bgrx = 3;
const withAnnotations = 0x01;
const redFirst = 0x10;

/** Draws a page on white, in the wanted size in pixels. */
export function drawPage(
  pdf: OpenPdf,
  index: number,
  { widthPx: width, heightPx: height }: { widthPx: number; heightPx: number },
): RawPixels {
  const { pdfium } = pdf;
  return withPage(pdf, index, (page) => {
    const stride = width * 4;
    const pointer = pdfium.wasmExports.malloc(stride * height);
    if (!pointer) throw new Error('There is not enough memory to draw this page.');
    const bitmap = pdfium._FPDFBitmap_CreateEx(width, height, bgrx, pointer, stride);
    try {
      pdfium._FPDFBitmap_FillRect(bitmap, 0, 0, width, height, 0xffffffff);
      pdfium._FPDF_RenderPageBitmap(bitmap, page, 0, 0, width, height, 0, withAnnotations | redFirst);
      const drawn = pdfium.HEAPU8.subarray(pointer, pointer + stride * height);
      const data = Buffer.allocUnsafe(width * height * 3);
      for (let from = 0, to = 0; from < drawn.length; from += 4, to += 3) {
        data[to] = drawn[from] ?? 0;
        data[to + 1] = drawn[from + 1] ?? 0;
        data[to + 2] = drawn[from + 2] ?? 0;
      }
      return { data, width, height, channels: 3 };
    } finally {
      pdfium._FPDFBitmap_Destroy(bitmap);
      pdfium.wasmExports.free(pointer);
    }
  });
}
