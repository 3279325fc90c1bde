import type { Face } from '#core/resume/layout/set-runs.ts';
import type { ResumeFonts } from './resume-fonts.ts';

/** What is drawn on paper, dark and quiet, and lines between and below words. */
export const paperInks: Record<'ink' | 'grey' | 'rule', string> = {
  ink: '#15160f',
  grey: '#51534a',
  rule: '#85857b',
};

/**
 * Draws words on a page, from font file to font file. All in points.
 *
 * @returns where they end
 */
export function drawWords(
  doc: PDFKit.PDFDocument,
  fonts: ResumeFonts,
  { text, face }: { text: string; face: Face },
  left: number,
  baseline: number,
  sizePt: number,
  colour: string,
): number {
  let at = left;
  for (const { file, text: piece } of fonts.pieces(text, face)) {
    doc
      .font(file.name)
      .fontSize(sizePt)
      .fillColor(colour)
      .text(piece, at, baseline, { lineBreak: false, baseline: 'alphabetic' });
    at += (file.font.layout(piece).advanceWidth / file.font.unitsPerEm) * sizePt;
  }
  return at;
}
