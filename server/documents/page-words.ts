import type { PageWord } from '#core/materials/document.ts';
import { type OpenPdf, withPage } from './pdfium.ts';

/** To the units below: more digits would only be kept, and mean nothing. */
const rounded = (share: number): number => Math.round(share * 100_000) / 100_000;

/** Boxes are asked for on a page of this many units a side, so that turned and cut pages come out right. */
const units = 100_000;

/**
 * The words of a page with their boxes, in the order in which the file has them. Letters that lie next to each other
 * without a blank between them are one word.
 *
 * @param most words at most
 * @returns null when there are more
 */
export function pageWords(pdf: OpenPdf, index: number, most: number): PageWord[] | null {
  const { pdfium } = pdf;
  return withPage(pdf, index, (page) => {
    const textPage = pdfium._FPDFText_LoadPage(page);
    const pointer = pdfium.wasmExports.malloc(48);
    try {
      const words: PageWord[] = [];
      let letters = '';
      let box = { left: 1, top: 1, right: 0, bottom: 0 };
      let startsLine = true;
      const finish = () => {
        if (letters !== '' && box.right >= box.left)
          words.push({
            text: letters,
            x: rounded(box.left),
            y: rounded(box.top),
            width: rounded(box.right - box.left),
            height: rounded(box.bottom - box.top),
            startsLine,
          });
        if (letters !== '') startsLine = false;
        letters = '';
        box = { left: 1, top: 1, right: 0, bottom: 0 };
      };
      const count = pdfium._FPDFText_CountChars(textPage);
      // A word of a page has no more than so many letters either, on average.
      if (count > most * 20) return null;
      for (let at = 0; at < count; at++) {
        const code = pdfium._FPDFText_GetUnicode(textPage, at);
        const letter = code > 0 ? String.fromCodePoint(code) : ' ';
        if (/[\r\n]/.test(letter)) {
          finish();
          startsLine = true;
        } else if (/\s/.test(letter)) finish();
        else if (words.length > most) return null;
        else {
          letters += letter;
          const [l, r, b, t] = [pointer, pointer + 8, pointer + 16, pointer + 24];
          if (!pdfium._FPDFText_GetCharBox(textPage, at, l, r, b, t)) continue;
          const [left = 0, right = 0, bottom = 0, top = 0] = new Float64Array(
            pdfium.HEAPU8.buffer,
            pointer,
            4,
          );
          // Two opposite corners; a turned page turns them, so either may be the upper left one.
          for (const [x, y] of [
            [left, top],
            [right, bottom],
          ] as const) {
            pdfium._FPDF_PageToDevice(page, 0, 0, units, units, 0, x, y, pointer + 32, pointer + 36);
            const [deviceX = 0, deviceY = 0] = new Int32Array(pdfium.HEAPU8.buffer, pointer + 32, 2);
            box = {
              left: Math.min(box.left, deviceX / units),
              top: Math.min(box.top, deviceY / units),
              right: Math.max(box.right, deviceX / units),
              bottom: Math.max(box.bottom, deviceY / units),
            };
          }
        }
      }
      finish();
      return words.length > most ? null : words;
    } finally {
      pdfium.wasmExports.free(pointer);
      pdfium._FPDFText_ClosePage(textPage);
    }
  });
}
