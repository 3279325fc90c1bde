import PDFDocument from 'pdfkit';
import type { Writable } from 'node:stream';
import { finished } from 'node:stream/promises';
import type { BookPicture } from '#core/book/book-block.ts';
import { bookMargins } from '#core/book/book-sheet.ts';
import type { BookLine, BookPlacedPicture, LaidBook } from '#core/book/lay-book.ts';
import { type PaperName, paperSizes } from '#core/resume/layout/paper.ts';
import type { SetRun } from '#core/resume/layout/set-runs.ts';
import { drawWords, paperInks } from '../resume/draw-words.ts';
import type { ResumeFonts } from '../resume/resume-fonts.ts';

type Doc = PDFKit.PDFDocument;
type Element = PDFKit.PDFStructureElement;
const { ink, grey, rule } = paperInks;

/** What a link in a book leads to, where that is another of its pages. */
export const toChapter = 'chapter:';

export interface BookFile {
  title: string;
  author: string;
  language: string;
  paper: PaperName;
  made: Date;
}

/** Draws a laid book, and says of everything on it what it is (ISO 32000-1, 14.8). */
class BookDrawing {
  readonly #doc: Doc;
  readonly #fonts: ResumeFonts;
  readonly #book: LaidBook;
  readonly #root: Element;
  /** The block that is being drawn, which may go on upon the next page. */
  #open: { block: number; element: Element } | null = null;

  constructor(doc: Doc, fonts: ResumeFonts, book: LaidBook) {
    this.#doc = doc;
    this.#fonts = fonts;
    this.#book = book;
    this.#root = doc.struct('Document');
    doc.addStructure(this.#root);
  }

  #words(
    text: string,
    face: SetRun['face'],
    left: number,
    baseline: number,
    sizePt: number,
    colour: string,
  ): number {
    return drawWords(this.#doc, this.#fonts, { text, face }, left, baseline, sizePt, colour);
  }

  #element(block: number, type: string): Element {
    if (this.#open?.block === block) return this.#open.element;
    this.#open?.element.end();
    const element = this.#doc.struct(type);
    this.#root.add(element);
    this.#open = { block, element };
    return element;
  }

  #link(
    element: Element,
    { text, face, x, width, link = '' }: SetRun,
    line: BookLine,
    baseline: number,
  ): void {
    const within = this.#doc.struct('Link');
    element.add(within);
    const content = this.#doc.markStructureContent('Link');
    const left = line.x + x;
    const end = this.#words(text, face, left, baseline, line.sizePt, ink);
    const under = baseline + line.sizePt * 0.14;
    this.#doc.moveTo(left, under).lineTo(end, under).lineWidth(0.5).stroke(rule);
    this.#doc.endMarkedContent();
    within.add(content);
    this.#leads(within, left, line, width, text, link ?? '');
    within.end();
  }

  #leads(
    within: Element,
    left: number,
    { top, height }: BookLine,
    width: number,
    text: string,
    to: string,
  ): void {
    const options = { structParent: within, Contents: new String(text) } as object;
    if (to.startsWith(toChapter)) this.#doc.goTo(left, top, width, height, to, options);
    else this.#doc.link(left, top, width, height, to, options);
  }

  #line(line: BookLine): void {
    const element = this.#element(line.block, line.tag);
    const colour = line.quiet ? grey : ink;
    const baseline = line.top + line.height / 2 + line.sizePt * 0.34;
    if (line.entry) return this.#entry(element, line, line.entry, baseline);
    for (const run of line.runs) {
      if (run.link) {
        this.#link(element, run, line, baseline);
        continue;
      }
      const content = this.#doc.markStructureContent(line.tag);
      this.#words(run.text, run.face, line.x + run.x, baseline, line.sizePt, colour);
      this.#doc.endMarkedContent();
      element.add(content);
    }
  }

  /** A line of the contents leads to its page, whose number stands at its end. */
  #entry(element: Element, line: BookLine, entry: NonNullable<BookLine['entry']>, baseline: number): void {
    const number = String((this.#book.begins.get(entry.path) ?? 0) + 1);
    const within = this.#doc.struct('Link');
    element.add(within);
    const content = this.#doc.markStructureContent('Link');
    for (const run of line.runs) this.#words(run.text, run.face, line.x + run.x, baseline, line.sizePt, ink);
    const left = entry.numberEnds - this.#fonts.widthOf(number, 'regular') * line.sizePt;
    this.#words(number, 'regular', left, baseline, line.sizePt, grey);
    this.#doc.endMarkedContent();
    within.add(content);
    const said = `${line.runs.map(({ text }) => text).join('')}, ${number}`;
    this.#leads(within, line.x, line, entry.numberEnds - line.x, said, toChapter + entry.path);
    within.end();
  }

  #picture({ block, x, top, width, height, picture }: BookPlacedPicture, bytes: Buffer): void {
    // What says nothing is no part of what is read out.
    if (picture.alt === '') {
      this.#doc.markContent('Artifact', { type: 'Layout' });
      this.#doc.image(bytes, x, top, { width, height });
      this.#doc.endMarkedContent();
      return;
    }
    this.#open?.element.end();
    const bbox = [x, top, x + width, top + height];
    const figure = this.#doc.struct('Figure', { alt: picture.alt, bbox } as object);
    this.#root.add(figure);
    this.#open = { block, element: figure };
    const content = this.#doc.markStructureContent('Figure');
    this.#doc.image(bytes, x, top, { width, height });
    this.#doc.endMarkedContent();
    figure.add(content);
  }

  /** What stands at the foot of every page but the cover: of which site it is, and its number. */
  #foot(text: string, at: number, paper: PaperName): void {
    if (at === 0) return;
    const { width, height } = paperSizes[paper];
    const baseline = height - bookMargins.bottom / 2;
    const number = String(at + 1);
    this.#doc.markContent('Artifact', { type: 'Pagination' });
    this.#words(text, 'regular', bookMargins.side, baseline, 8, grey);
    const left = width - bookMargins.side - this.#fonts.widthOf(number, 'regular') * 8;
    this.#words(number, 'regular', left, baseline, 8, grey);
    this.#doc.endMarkedContent();
  }

  async sheet(
    at: number,
    title: string,
    paper: PaperName,
    read: (picture: BookPicture) => Promise<Buffer | null>,
  ) {
    this.#doc.addPage();
    const sheet = this.#book.sheets[at];
    for (const [path, begins] of this.#book.begins)
      if (begins === at) this.#doc.addNamedDestination(toChapter + path, 'XYZ', 0, 0, null);
    for (const one of sheet?.placed ?? []) {
      if (one.kind === 'line') this.#line(one);
      else {
        const bytes = await read(one.picture);
        if (bytes) this.#picture(one, bytes);
      }
    }
    this.#foot(title, at, paper);
  }

  end(): void {
    this.#open?.element.end();
    this.#root.end();
  }
}

/**
 * Writes a laid book as a PDF: real words in embedded letters, tagged, with bookmarks, page numbers and links between its
 * pages. Other work goes on between two pages.
 *
 * @param outline the chapters in order, with how deep they stand
 * @param read the bytes of a picture as JPEG or PNG; null where it cannot be had
 * @param onPage told after each page; throws to give up
 */
export async function bookPdf(
  book: LaidBook,
  outline: readonly { path: string; title: string; depth: number }[],
  fonts: ResumeFonts,
  { title, author, language, paper, made }: BookFile,
  read: (picture: BookPicture) => Promise<Buffer | null>,
  to: Writable,
  onPage: (done: number) => void,
): Promise<void> {
  const doc = new PDFDocument({
    size: [paperSizes[paper].width, paperSizes[paper].height],
    ...{
      margin: 0,
      autoFirstPage: false,
      pdfVersion: '1.7',
      tagged: true,
      lang: language,
      displayTitle: true,
    },
    font: '',
    info: { Title: title, Author: author, Creator: 'Kite Wall', Producer: 'Kite Wall', CreationDate: made },
    // What the package takes and its types do not name.
  } as object);
  doc.pipe(to);
  const written = finished(to);
  written.catch(() => undefined);
  try {
    for (const face of ['regular', 'strong'] as const)
      for (const { name, contents } of fonts.files(face)) doc.registerFont(name, contents);
    const drawing = new BookDrawing(doc, fonts, book);
    const above: PDFKit.PDFOutline[] = [doc.outline];
    for (let at = 0; at < book.sheets.length; at++) {
      await drawing.sheet(at, title, paper, read);
      for (const { path, title: name, depth } of outline) {
        if (book.begins.get(path) !== at) continue;
        const parent = above[depth] ?? above.at(-1) ?? doc.outline;
        above.splice(depth + 1, above.length, parent.addItem(name));
      }
      onPage(at + 1);
      await new Promise<void>((resolve) => setImmediate(resolve));
    }
    drawing.end();
    doc.end();
    await written;
  } catch (error) {
    to.destroy();
    throw error;
  }
}
