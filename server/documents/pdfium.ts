import { PDFiumLibrary } from '@hyzyla/pdfium';

/**
 * The functions of PDFium's own interface (fpdfview.h, fpdf_text.h, fpdf_formfill.h) that are needed here. The package
 * exports all of them and types only some: boxes of letters and drawing without coloured fringes are not among these.
 */
export interface Pdfium {
  _FPDF_LoadPage(document: number, index: number): number;
  _FPDF_ClosePage(page: number): void;
  _FPDF_GetPageWidth(page: number): number;
  _FPDF_GetPageHeight(page: number): number;
  _FPDF_PageToDevice(
    page: number,
    startX: number,
    startY: number,
    sizeX: number,
    sizeY: number,
    rotate: number,
    pageX: number,
    pageY: number,
    deviceX: number,
    deviceY: number,
  ): number;
  _FPDFBitmap_CreateEx(width: number, height: number, format: number, first: number, stride: number): number;
  _FPDFBitmap_FillRect(bitmap: number, x: number, y: number, w: number, h: number, colour: number): void;
  _FPDFBitmap_Destroy(bitmap: number): void;
  _FPDF_RenderPageBitmap(
    bitmap: number,
    page: number,
    x: number,
    y: number,
    w: number,
    h: number,
    rotate: number,
    flags: number,
  ): void;
  _FPDFText_LoadPage(page: number): number;
  _FPDFText_ClosePage(textPage: number): void;
  _FPDFText_CountChars(textPage: number): number;
  _FPDFText_GetUnicode(textPage: number, index: number): number;
  _FPDFText_GetCharBox(
    textPage: number,
    index: number,
    left: number,
    right: number,
    bottom: number,
    top: number,
  ): number;
  wasmExports: { malloc(bytes: number): number; free(pointer: number): void };
  HEAPU8: Uint8Array;
}

let library: Promise<PDFiumLibrary> | undefined;

export interface OpenPdf {
  pdfium: Pdfium;
  /** The document's handle in PDFium. */
  document: number;
  pageCount: number;
}

/** PDFium does one thing at a time; whoever comes waits for whoever was there. */
let busy: Promise<unknown> = Promise.resolve();
/** The document that was open last: its pages are mostly asked for one after the other. */
let last: { name: string; open: OpenPdf; close: () => void } | null = null;

async function opened(name: string, bytes: () => Promise<Uint8Array>): Promise<OpenPdf> {
  if (last?.name === name) return last.open;
  last?.close();
  last = null;
  library ??= PDFiumLibrary.init();
  const document = await (await library).loadDocument(await bytes());
  const open: OpenPdf = {
    pdfium: document['module'] as unknown as Pdfium,
    document: document['documentIdx'],
    pageCount: document.getPageCount(),
  };
  last = { name, open, close: () => document.destroy() };
  return open;
}

/**
 * Works with an open PDF.
 *
 * @param name tells documents apart; the same name always means the same bytes
 * @throws what PDFium says of a file it cannot open
 */
export function withPdf<T>(
  name: string,
  bytes: () => Promise<Uint8Array>,
  work: (pdf: OpenPdf) => T | Promise<T>,
): Promise<T> {
  const mine = busy.then(async () => {
    try {
      return await work(await opened(name, bytes));
    } catch (error) {
      // After a trap nothing in that memory can be trusted: the next document gets a new PDFium.
      if (error instanceof Error && error.name === 'RuntimeError') {
        last = null;
        library = undefined;
      }
      throw error;
    }
  });
  busy = mine.catch(() => undefined);
  return mine;
}

/** A page of an open PDF, closed again whatever happens. */
export function withPage<T>({ pdfium, document }: OpenPdf, index: number, work: (page: number) => T): T {
  const page = pdfium._FPDF_LoadPage(document, index);
  if (!page) throw new Error(`Page ${index + 1} cannot be read.`);
  try {
    return work(page);
  } finally {
    pdfium._FPDF_ClosePage(page);
  }
}
