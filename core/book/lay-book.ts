import { breakIntoRows } from '../gallery/rows.ts';
import type { PaperName } from '../resume/layout/paper.ts';
import { type Run, type SetRun, setRuns, type WidthOf } from '../resume/layout/set-runs.ts';
import type { BookBlock, BookChapter, BookPicture } from './book-block.ts';
import {
  factName,
  itemIndent,
  pictureRows,
  roomOf,
  type SettingName,
  settings,
  wordsWidth,
} from './book-sheet.ts';

/** What a piece of a page is, as a tagged file says it (ISO 32000-1, 14.8.4). */
export type BookTag = 'H1' | 'H2' | 'H3' | 'H4' | 'P' | 'BlockQuote' | 'Caption' | 'TOCI';

/** A line of words, from the left edge and the top of the paper. */
export interface BookLine {
  kind: 'line';
  /** Lines of one block have one number, also where it goes on upon the next page. */
  block: number;
  tag: BookTag;
  x: number;
  top: number;
  height: number;
  sizePt: number;
  quiet: boolean;
  runs: SetRun[];
  /** Of a line of the contents: the chapter it leads to, and where its page's number ends. */
  entry?: { path: string; numberEnds: number };
}
export interface BookPlacedPicture {
  kind: 'picture';
  block: number;
  x: number;
  top: number;
  width: number;
  height: number;
  picture: BookPicture;
}
export interface BookSheet {
  /** The chapter it is of; null for the cover and the contents. */
  path: string | null;
  placed: (BookLine | BookPlacedPicture)[];
}
export interface LaidBook {
  sheets: BookSheet[];
  /** On which sheet each chapter begins, from 0. */
  begins: ReadonlyMap<string, number>;
}

/** What stands in a book and on no page of the site. */
export interface BookWordsAround {
  /** Above the contents. */
  heading: string;
  /** At the foot of the cover: whose it is, where it is on the web. */
  foot: string[];
}

/** Lays pages out one after the other; nothing is put where it does not fit, and what can be parted is. */
class Laying {
  readonly sheets: BookSheet[] = [];
  readonly #room: ReturnType<typeof roomOf>;
  readonly #widthOf: WidthOf;
  #path: string | null = null;
  #y = 0;
  #block = 0;

  constructor(paper: PaperName, widthOf: WidthOf) {
    this.#room = roomOf(paper);
    this.#widthOf = widthOf;
  }

  get room(): ReturnType<typeof roomOf> {
    return this.#room;
  }

  begin(path: string | null): void {
    this.#path = path;
    this.#newSheet();
  }

  #newSheet(): void {
    this.sheets.push({ path: this.#path, placed: [] });
    this.#y = this.#room.top;
  }

  #put(placed: BookLine | BookPlacedPicture): void {
    this.sheets.at(-1)?.placed.push(placed);
  }

  get #isTop(): boolean {
    return this.#y <= this.#room.top;
  }

  /** Begins another page where so much room is not left on this one. */
  need(height: number): void {
    if (!this.#isTop && this.#y + height > this.#room.bottom) this.#newSheet();
  }

  space(height: number): void {
    if (!this.#isTop) this.#y += height;
  }

  /** Room that is kept at the top of a page too. */
  drop(height: number): void {
    this.#y += height;
  }

  /** How high a block's first lines are with the room above them: what must not be parted from what leads up to it. */
  startOf(block: BookBlock | undefined): number {
    if (!block) return 0;
    if (block.kind === 'pictures') {
      const [first] = this.#rowsOf(block.pictures, block.small);
      return pictureRows.above + Math.min(first?.heightPx ?? 0, pictureRows.target);
    }
    const { size, leading, above } = settings[settingOf(block)];
    return above + size * leading * 2;
  }

  words(
    name: SettingName,
    tag: BookTag,
    runs: readonly Run[],
    {
      x = 0,
      width = wordsWidth,
      after = 0,
      mark,
      entry,
    }: {
      x?: number;
      width?: number;
      after?: number;
      mark?: { text: string; x: number };
      entry?: { path: string };
    } = {},
  ): void {
    const { size, leading, above } = settings[name];
    const lines = setRuns(runs, width, size, this.#widthOf);
    const height = size * leading;
    const quiet = name === 'quiet';
    const block = this.#block++;
    // One line alone is left at neither end of a page.
    this.need(above + height * Math.min(lines.length, 2) + after);
    this.space(above);
    lines.forEach((line, at) => {
      const isLastButOne = at === lines.length - 2 && lines.length > 2;
      this.need(height * (isLastButOne ? 2 : 1) + (at === lines.length - 1 ? after : 0));
      const marked: SetRun[] =
        at === 0 && mark ? [{ text: mark.text, face: 'regular', x: mark.x - x, width: 0 }] : [];
      this.#put({
        ...{ kind: 'line', block, tag, x: this.#room.left + x, top: this.#y, height, sizePt: size, quiet },
        runs: [...marked, ...line],
        ...(entry &&
          at === lines.length - 1 && { entry: { ...entry, numberEnds: this.#room.left + this.#room.width } }),
      });
      this.#y += height;
    });
  }

  fact(name: string, runs: readonly Run[]): void {
    const { size, leading, above } = settings.fact;
    const x = factName.width + factName.gutter;
    const names = name ? setRuns([{ text: name, face: 'strong' }], factName.width, size, this.#widthOf) : [];
    const height = size * leading;
    this.need(above + height * Math.max(2, names.length));
    this.space(above);
    const top = this.#y;
    const block = this.#block++;
    names.forEach((line, at) =>
      this.#put({
        ...{
          kind: 'line',
          block,
          tag: 'P',
          x: this.#room.left,
          top: top + at * height,
          height,
          sizePt: size,
        },
        ...{ quiet: true, runs: line },
      }),
    );
    const sheet = this.sheets.length;
    this.#putLines(runs, 'fact', x, wordsWidth - x);
    if (this.sheets.length === sheet) this.#y = Math.max(this.#y, top + names.length * height);
  }

  #putLines(runs: readonly Run[], name: SettingName, x: number, width: number): void {
    const { size, leading } = settings[name];
    const height = size * leading;
    const block = this.#block++;
    for (const line of setRuns(runs, width, size, this.#widthOf)) {
      this.need(height);
      this.#put({
        ...{ kind: 'line', block, tag: 'P', x: this.#room.left + x, top: this.#y, height, sizePt: size },
        ...{ quiet: false, runs: line },
      });
      this.#y += height;
    }
  }

  row(cells: readonly (readonly Run[])[], head: boolean): void {
    const { size, leading, above } = settings.row;
    const gap = 10;
    const width = Math.max(24, (this.#room.width - gap * (cells.length - 1)) / cells.length);
    const set = cells.map((cell) =>
      setRuns(
        head ? cell.map((run) => ({ ...run, face: 'strong' as const })) : cell,
        width,
        size,
        this.#widthOf,
      ),
    );
    const height = size * leading;
    const most = Math.floor((this.#room.bottom - this.#room.top - above) / height);
    const lines = Math.min(most, Math.max(...set.map((cell) => cell.length)));
    this.need(above + lines * height);
    this.space(above);
    set.forEach((cell, column) => {
      const block = this.#block++;
      cell.slice(0, most).forEach((line, at) =>
        this.#put({
          ...{ kind: 'line', block, tag: 'P', x: this.#room.left + column * (width + gap), quiet: false },
          ...{ top: this.#y + at * height, height, sizePt: size, runs: line },
        }),
      );
    });
    this.#y += lines * height;
  }

  #rowsOf(pictures: readonly BookPicture[], small: boolean) {
    const { gap: gapPx, target, most, small: smallest } = pictureRows;
    const mostPx = small ? smallest : most;
    // One alone may be as large as the column; several share rows, as in a gallery.
    const targetPx = pictures.length === 1 ? mostPx : Math.min(mostPx, target);
    return breakIntoRows(
      pictures.map(({ width, height }) => width / height),
      { widthPx: this.#room.width, gapPx, targetPx, mostPx },
    );
  }

  pictures(pictures: readonly BookPicture[], small = false): void {
    const line = settings.quiet.size * settings.quiet.leading;
    const room = this.#room.bottom - this.#room.top;
    // Words that would take most of a page stand below it like others.
    const mostLines = Math.floor((room * 0.5) / line);
    for (const { from, to, heightPx } of this.#rowsOf(pictures, small)) {
      const row = pictures.slice(from, to).map((picture) => {
        const width = (heightPx * picture.width) / picture.height;
        const runs: Run[] = [{ text: picture.caption, face: 'regular' }];
        // A narrow picture's words may be a little wider than it, and those of one alone as wide as words are.
        const most = to - from === 1 ? Math.max(width, wordsWidth / 2) : Math.max(width, 40);
        const caption = picture.caption ? setRuns(runs, most, settings.quiet.size, this.#widthOf) : [];
        return { picture, width, caption: caption.slice(0, mostLines), more: caption.slice(mostLines) };
      });
      const lines = Math.max(0, ...row.map(({ caption }) => caption.length));
      const below = lines > 0 ? pictureRows.caption + lines * line : 0;
      // What is as high as a page with its words is made to fit on one.
      const share = Math.min(1, (room - below) / heightPx);
      this.need(pictureRows.above + heightPx * share + below);
      this.space(pictureRows.above);
      let x = this.#room.left;
      for (const { picture, width, caption } of row) {
        const block = this.#block++;
        const [wide, high] = [width * share, heightPx * share];
        this.#put({ kind: 'picture', block, x, top: this.#y, width: wide, height: high, picture });
        const top = this.#y + high + pictureRows.caption;
        this.#captions(caption, x, top, block + 0.5);
        x += wide + pictureRows.gap;
      }
      this.#y += heightPx * share + below;
      for (const { more } of row)
        if (more.length > 0)
          this.words('quiet', 'P', [
            { text: more.map((runs) => runs.map(({ text }) => text).join('')).join(' '), face: 'regular' },
          ]);
    }
  }

  #captions(lines: readonly SetRun[][], x: number, top: number, block: number): void {
    const { size: sizePt, leading } = settings.quiet;
    const height = sizePt * leading;
    lines.forEach((runs, at) =>
      this.#put({
        kind: 'line',
        block,
        tag: 'Caption',
        x,
        top: top + at * height,
        height,
        sizePt,
        quiet: true,
        runs,
      }),
    );
  }

  /** Lines at the foot of the page, where it has room for them. */
  atFoot(lines: readonly string[]): void {
    const { size, leading } = settings.foot;
    const top = this.#room.bottom - lines.length * size * leading;
    if (top < this.#y) return;
    this.#y = top;
    for (const text of lines) this.#putLines([{ text, face: 'regular' }], 'foot', 0, this.#room.width);
  }

  blocks(blocks: readonly BookBlock[]): void {
    blocks.forEach((block, at) => {
      const after = block.kind === 'heading' ? this.startOf(blocks[at + 1]) : 0;
      switch (block.kind) {
        case 'heading':
          return this.words(`h${block.level}`, `H${block.level}`, strongly(block.runs), { after });
        case 'words':
          return this.words(block.tone, block.tone === 'quote' ? 'BlockQuote' : 'P', block.runs, {
            ...(block.tone === 'quote' && { x: itemIndent, width: wordsWidth - itemIndent }),
          });
        case 'item': {
          const x = itemIndent * (block.depth + 1);
          return this.words('item', 'P', block.runs, {
            ...{ x, width: wordsWidth - x },
            ...(block.mark && { mark: { text: block.mark, x: x - itemIndent } }),
          });
        }
        case 'fact':
          return this.fact(block.name, block.runs);
        case 'row':
          return this.row(block.cells, block.head);
        case 'pictures':
          return this.pictures(block.pictures, block.small);
      }
    });
  }
}

const strongly = (runs: readonly Run[]): Run[] => runs.map((run) => ({ ...run, face: 'strong' }));
const settingOf = (block: Exclude<BookBlock, { kind: 'pictures' }>): SettingName =>
  block.kind === 'heading' ? `h${block.level}` : block.kind === 'words' ? block.tone : block.kind;

/**
 * Lays a site out as a book: a cover of its entrance, the contents, and each other page from a new sheet on. Pure: equal
 * input is laid out the same.
 *
 * @param cover the entrance
 * @param widthOf how wide words are in the letters it is set in
 */
export function layBook(
  cover: BookChapter,
  chapters: readonly BookChapter[],
  around: BookWordsAround,
  paper: PaperName,
  widthOf: WidthOf,
): LaidBook {
  const laying = new Laying(paper, widthOf);
  const begins = new Map<string, number>();
  laying.begin(null);
  begins.set(cover.path, 0);
  // A front page of words alone gets the picture of the first work that has one.
  const opening = [cover, ...chapters].find((one) => one.opening.length > 0)?.opening ?? [];
  if (opening.length === 0) laying.drop(settings.cover.above);
  laying.pictures(opening);
  laying.words(opening.length > 0 ? 'covered' : 'cover', 'H1', [{ text: cover.title, face: 'strong' }], {
    width: laying.room.width,
  });
  laying.blocks(cover.blocks);
  if (laying.sheets.length === 1) laying.atFoot(around.foot);
  if (chapters.length > 0) {
    laying.begin(null);
    laying.words('title', 'H2', [{ text: around.heading, face: 'strong' }]);
    laying.drop(settings.lead.above);
    for (const { title, path, depth } of chapters)
      laying.words('entry', 'TOCI', [{ text: title, face: depth === 0 ? 'strong' : 'regular' }], {
        x: itemIndent * depth,
        // Its page's number stands at the end of the line.
        width: laying.room.width - itemIndent * depth - 40,
        entry: { path },
      });
  }
  for (const chapter of chapters) {
    laying.begin(chapter.path);
    begins.set(chapter.path, laying.sheets.length - 1);
    laying.pictures(chapter.opening);
    laying.words('title', 'H1', [{ text: chapter.title, face: 'strong' }], { width: laying.room.width });
    laying.blocks(chapter.blocks);
  }
  return { sheets: laying.sheets, begins };
}

/** Each letter that stands in a book, once. */
export function lettersOf({ sheets }: LaidBook): string {
  const letters = new Set<string>();
  for (const { placed } of sheets)
    for (const one of placed)
      if (one.kind === 'line')
        for (const { text } of one.runs) for (const letter of text) letters.add(letter);
  return [...letters].join('');
}
