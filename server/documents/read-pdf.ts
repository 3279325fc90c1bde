import { readFile } from 'node:fs/promises';
import { type DocumentContent, type DocumentFacts, pageSizePx } from '#core/materials/document.ts';
import { Problem } from '../http/problem.ts';
import type { RawPixels } from '../media/fixed-pixels.ts';
import { drawPage } from './draw-page.ts';
import { pageWords } from './page-words.ts';
import { withPage, withPdf } from './pdfium.ts';

const mostPages = 300;
/** Some four hundred words a page of the longest. */
const mostWords = 120_000;

const tooManyWords = () =>
  new Problem(
    413,
    'too-many-words',
    'This PDF has more than 120,000 words. Save the pages you want to show as a PDF of their own.',
  );

export interface ReadPdf {
  facts: DocumentFacts;
  content: DocumentContent;
  /** The first page, to be recognised by. */
  cover: RawPixels;
}

/**
 * Reads a PDF: size and words of every page, and a picture of the first.
 *
 * @throws Problem with a sentence: locked with a password, too many pages, broken
 */
export async function readPdf(path: string, hash: string): Promise<ReadPdf> {
  try {
    return await withPdf(
      hash,
      () => readFile(path),
      async (pdf) => {
        if (pdf.pageCount === 0) throw new Error('no pages');
        if (pdf.pageCount > mostPages)
          throw new Problem(
            413,
            'too-many-pages',
            `This PDF has ${pdf.pageCount} pages; the most is ${mostPages}. Save the pages you want to show as a PDF of their own.`,
          );
        const pages: DocumentFacts['pages'] = [];
        const words: DocumentContent['pages'] = [];
        let count = 0;
        for (let at = 0; at < pdf.pageCount; at++) {
          pages.push(
            withPage(pdf, at, (page) => ({
              widthPt: pdf.pdfium._FPDF_GetPageWidth(page),
              heightPt: pdf.pdfium._FPDF_GetPageHeight(page),
            })),
          );
          const ofPage = pageWords(pdf, at, mostWords - count);
          if (!ofPage) throw tooManyWords();
          count += ofPage.length;
          words.push(ofPage);
        }
        const [first] = pages;
        if (!first) throw new Error('no pages');
        return {
          facts: { format: 'pdf', pages, words: count },
          content: { pages: words, pieces: [], leftOut: 0 },
          cover: drawPage(pdf, 0, pageSizePx(first)),
        };
      },
    );
  } catch (error) {
    if (error instanceof Problem) throw error;
    if (error instanceof Error && /password/i.test(error.message))
      throw new Problem(
        422,
        'locked',
        'This PDF is locked with a password, so its pages cannot be shown. Save it without one and add it again.',
      );
    throw new Problem(
      422,
      'broken',
      'This PDF is broken or was cut off on the way, so its pages cannot be shown. Save it again from the program it was made with.',
    );
  }
}
