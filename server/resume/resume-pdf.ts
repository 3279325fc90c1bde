import PDFDocument from 'pdfkit';
import type { FittedPages } from '#core/resume/fitted-resume.ts';
import type { PlacedBlock, PlacedPage } from '#core/resume/layout/place-resume.ts';
import { comfortableSizes, margins, type PaperName, paperSizes } from '#core/resume/layout/paper.ts';
import type { ResumeContent } from '#core/resume/layout/resume-content.ts';
import type { SetLine } from '#core/resume/layout/set-resume.ts';
import type { SetRun } from '#core/resume/layout/set-runs.ts';
import { drawWords, paperInks } from './draw-words.ts';
import type { ResumeFonts } from './resume-fonts.ts';

type Doc = PDFKit.PDFDocument;
type Element = PDFKit.PDFStructureElement;
const { ink, grey, rule } = paperInks;

/** Draws a fitted résumé, and says of everything on it what it is (ISO 32000-1, 14.8; PDF/UA-1, ISO 14289-1). */
class ResumeDrawing {
  readonly #doc: Doc;
  readonly #fonts: ResumeFonts;
  readonly #root: Element;
  /** Of the entry that is being drawn: its list, which goes on upon the next page. */
  #lines: Element | null = null;
  #section: Element | null = null;

  constructor(doc: Doc, fonts: ResumeFonts) {
    this.#doc = doc;
    this.#fonts = fonts;
    this.#root = doc.struct('Document');
    doc.addStructure(this.#root);
  }

  #element(parent: Element, type: string): Element {
    const element = this.#doc.struct(type);
    parent.add(element);
    return element;
  }

  /** Words, from file to file, with the baseline where it is said. */
  #words(
    { text, face, x, link }: SetRun,
    left: number,
    baseline: number,
    sizePt: number,
    colour: string,
  ): void {
    const at = drawWords(this.#doc, this.#fonts, { text, face }, left + x, baseline, sizePt, colour);
    if (!link) return;
    const under = baseline + sizePt * 0.14;
    this.#doc
      .moveTo(left + x, under)
      .lineTo(at, under)
      .lineWidth(sizePt * 0.05)
      .stroke(rule);
  }

  /** A line of words below an element; what leads somewhere is a link of its own in it. */
  #line(parent: Element, type: string, line: SetLine, top: number, high: number, colour = ink): void {
    const { x, sizePt, runs } = line;
    // Letters stand in the middle of their line: of most of these fonts, a bit more than a third of the size above the baseline.
    const baseline = top + high / 2 + sizePt * 0.34;
    for (const run of runs) {
      const to = run.link;
      const within = to ? this.#element(parent, 'Link') : parent;
      const content = this.#doc.markStructureContent(to ? 'Link' : type);
      this.#words(run, x, baseline, sizePt, colour);
      this.#doc.endMarkedContent();
      within.add(content);
      if (!to) continue;
      this.#doc.link(x + run.x, top, run.width, high, to, {
        structParent: within,
        Contents: new String(run.text),
      } as object);
      within.end();
    }
  }

  #block(parent: Element, type: string, { block, top }: PlacedBlock, colour = ink): void {
    const element = this.#element(parent, type);
    const high = this.#high(block.height, block.lines.length);
    for (const { top: down, line } of block.lines) this.#line(element, type, line, top + down, high, colour);
    element.end();
  }

  readonly #high = (height: number, lines: number) => height / Math.max(1, lines);

  #endSection(): void {
    this.#lines?.end();
    this.#section?.end();
    this.#lines = null;
    this.#section = null;
  }

  /** What stands on one page. */
  page({ blocks, sections }: PlacedPage, paper: PaperName): void {
    const { width } = paperSizes[paper];
    const begins = [...sections];
    for (const placed of blocks) {
      const { block, top } = placed;
      const section = begins[0];
      if (block.kind === 'entry' && section && section.labelTop <= top + 0.01) {
        begins.shift();
        this.#endSection();
        this.#doc.markContent('Artifact', { type: 'Layout' });
        this.#doc
          .moveTo(margins.side, section.top)
          .lineTo(width - margins.side, section.top)
          .lineWidth(0.5)
          .stroke(rule);
        this.#doc.endMarkedContent();
        this.#section = this.#element(this.#root, 'Sect');
        const heading = this.#element(this.#section, 'H2');
        section.label.forEach((line, at) =>
          this.#line(
            heading,
            'H2',
            line,
            section.labelTop + at * line.sizePt * 1.36,
            line.sizePt * 1.5,
            grey,
          ),
        );
        heading.end();
        this.#doc.outline.addItem(
          section.label.map(({ runs }) => runs.map(({ text }) => text).join('')).join(' '),
        );
      }
      switch (block.kind) {
        case 'name':
          this.#block(this.#root, 'H1', placed);
          break;
        case 'headline':
        case 'contact':
          this.#block(this.#root, 'P', placed, block.kind === 'contact' ? grey : ink);
          break;
        case 'entry': {
          this.#lines?.end();
          this.#lines = null;
          const parent = this.#section ?? this.#root;
          const [title, when] = [this.#titleOf(placed), this.#whenOf(placed)];
          this.#block(parent, 'H3', title);
          if (when) this.#block(parent, 'P', when, grey);
          break;
        }
        case 'line': {
          this.#lines ??= this.#element(this.#section ?? this.#root, 'L');
          const item = this.#element(this.#lines, 'LI');
          const [first] = block.lines;
          if (first) {
            const high = this.#high(block.height, block.lines.length);
            const dot: SetRun = { text: '•', face: 'regular', x: -comfortableSizes.indent, width: 0 };
            const label = this.#element(item, 'Lbl');
            this.#line(label, 'Lbl', { ...first.line, runs: [dot] }, top, high);
            label.end();
          }
          this.#block(item, 'LBody', placed);
          item.end();
        }
      }
    }
  }

  /** Dates stand beside the first line of a title, and are told after it. */
  #whenOf({ block, top }: PlacedBlock): PlacedBlock | null {
    const last = block.lines.at(-1);
    const isWhen = last && block.lines.length > 1 && last.top === 0;
    return isWhen ? { top, block: { ...block, height: this.#lineHeight(block), lines: [last] } } : null;
  }

  #titleOf(placed: PlacedBlock): PlacedBlock {
    const { block } = placed;
    return this.#whenOf(placed)
      ? { ...placed, block: { ...block, lines: block.lines.slice(0, -1) } }
      : placed;
  }

  #lineHeight({ height, lines }: PlacedBlock['block']): number {
    return height / Math.max(1, lines.length - 1);
  }

  /** Where the newest one is, at the foot of a page: it is of the file and not of what it says. */
  foot({ text, to }: { text: string; to: string }, paper: PaperName): void {
    const { height } = paperSizes[paper];
    const sizePt = 7.5;
    const width = this.#fonts.widthOf(text, 'regular') * sizePt;
    const top = height - margins.bottom + 14;
    const paragraph = this.#element(this.#root, 'P');
    const run: SetRun = { text, face: 'regular', link: to, x: 0, width };
    this.#line(paragraph, 'P', { x: margins.side, sizePt, runs: [run] }, top, sizePt * 1.4, grey);
    paragraph.end();
  }

  end(): void {
    this.#endSection();
    this.#root.end();
  }
}

/**
 * A résumé as a PDF: real words, tagged, in its own embedded letters, with bookmarks for its sections. Equal input gives equal
 * bytes.
 *
 * @param made when, as the file says it
 */
export async function resumePdf(
  content: ResumeContent,
  paper: PaperName,
  { pages }: Pick<FittedPages, 'pages'>,
  fonts: ResumeFonts,
  title: string,
  made: Date,
): Promise<Buffer> {
  const doc = new PDFDocument({
    size: [paperSizes[paper].width, paperSizes[paper].height],
    margin: 0,
    autoFirstPage: false,
    pdfVersion: '1.7',
    subset: 'PDF/UA',
    tagged: true,
    lang: content.language,
    displayTitle: true,
    font: '',
    info: {
      Title: title,
      Author: content.name,
      Creator: 'Kite Wall',
      Producer: 'Kite Wall',
      CreationDate: made,
    },
    // What the package takes and its types do not name.
  } as object);
  const pieces: Buffer[] = [];
  doc.on('data', (piece: Buffer) => pieces.push(piece));
  const ended = new Promise<void>((resolve, reject) => {
    doc.once('end', resolve);
    doc.once('error', reject);
  });
  for (const face of ['regular', 'strong'] as const)
    for (const { name, contents } of fonts.files(face)) doc.registerFont(name, contents);
  const drawing = new ResumeDrawing(doc, fonts);
  for (const page of pages) {
    doc.addPage();
    drawing.page(page, paper);
    if (content.newest && page === pages[0]) drawing.foot(content.newest, paper);
  }
  drawing.end();
  doc.end();
  await ended;
  return Buffer.concat(pieces);
}
