import { type AnyNode, type Element, isTag, isText } from 'domhandler';
import { DomUtils, parseDocument } from 'htmlparser2';
import type { Run } from '../resume/layout/set-runs.ts';
import type { BookBlock, BookChapter, BookPicture } from './book-block.ts';

const names = (text: string): ReadonlySet<string> => new Set(text.split(' '));
/** What has no place on paper: what is pressed, played, or drawn for the screen. */
const left = names(
  'script style template svg button form nav input select textarea iframe object canvas source track audio video',
);
const inline = names(
  'a abbr b bdi bdo br cite code data del dfn em i ins kbd mark q s samp small span strong sub sup time u var wbr',
);
const strong = names('b strong th');

/** What words that are being read stand in. */
interface Inside {
  face: Run['face'];
  link: string | null;
}

const oneSpace = (text: string): string => text.replace(/[\s\u200b]+/g, ' ');
const textOf = (node: AnyNode | AnyNode[]): string => oneSpace(DomUtils.textContent(node)).trim();
const hasClass = ({ attribs }: Element, name: string): boolean =>
  (attribs['class'] ?? '').split(/\s+/).includes(name);

/** The file of a picture on a page, by its path below the entrance; null for one that is no file of the site. */
function fileOf(src: string, path: string): string | null {
  const at = new URL(src, `http://book.invalid/${path}`);
  return at.host === 'book.invalid' ? at.pathname.slice(1) : null;
}

/** Reads one page; what it has read so far is in order. */
class PageReader {
  readonly blocks: BookBlock[] = [];
  readonly opening: BookPicture[] = [];
  title = '';
  readonly #path: string;
  readonly #linkTo: (href: string) => string | null;
  /** Words that belong to no block yet. */
  #runs: Run[] = [];
  #tone: 'plain' | 'lead' | 'quiet' | 'quote' = 'plain';
  /** Set while the words of a list's item are read. */
  #item: { mark: string; depth: number } | null = null;
  /** Inside a list that is laid out. */
  #isSmall = false;

  constructor(path: string, linkTo: (href: string) => string | null) {
    this.#path = path;
    this.#linkTo = linkTo;
  }

  read(nodes: readonly AnyNode[], inside: Inside = { face: 'regular', link: null }): void {
    for (const node of nodes) {
      if (isText(node)) this.#text(node.data, inside);
      else if (isTag(node)) this.#element(node, inside);
    }
  }

  #text(data: string, { face, link }: Inside): void {
    const text = oneSpace(data);
    if (text.trim() === '' && this.#runs.length === 0) return;
    this.#runs.push(link === null ? { text, face } : { text, face, link });
  }

  /** The words that were read are a block; those before the title lead back to where the page hangs, and stand in no book. */
  flush(): void {
    const runs = trimmed(this.#runs);
    this.#runs = [];
    if (runs.length === 0 || this.title === '') return;
    if (this.#item) {
      this.blocks.push({ kind: 'item', ...this.#item, runs });
      // What follows in the same item stands below it without a mark.
      this.#item = { ...this.#item, mark: '' };
    } else this.blocks.push({ kind: 'words', tone: this.#tone, runs });
  }

  #block(node: Element, inside: Inside): void {
    this.flush();
    this.read(node.children, inside);
    this.flush();
  }

  #as(tone: 'plain' | 'lead' | 'quiet' | 'quote', read: () => void): void {
    const before = this.#tone;
    this.#tone = tone;
    read();
    this.#tone = before;
  }

  #element(node: Element, inside: Inside): void {
    const { name, attribs } = node;
    if (left.has(name) || attribs['hidden'] !== undefined || attribs['aria-hidden'] === 'true') return;
    if (name === 'br') return this.#text(' ', inside);
    if (name === 'img') return this.#picture(node, '');
    if (inline.has(name)) {
      // Set apart by the page’s layout alone, and not by a space.
      const beside = node.prev && isTag(node.prev) && inline.has(node.prev.name);
      const ofLayout = name === 'span' && attribs['class'] !== undefined;
      if ((beside || ofLayout) && /\S$/.test(this.#runs.at(-1)?.text ?? '')) this.#text(', ', inside);
      const href = name === 'a' ? attribs['href'] : undefined;
      const link = href === undefined ? inside.link : this.#linkTo(href);
      return this.read(node.children, { link, face: strong.has(name) ? 'strong' : inside.face });
    }
    if (/^h[1-6]$/.test(name)) return this.#heading(node, Number(name.slice(1)));
    switch (name) {
      case 'article':
        // A card that leads to another page: that page is a chapter itself.
        if (DomUtils.findOne(isCardTitle, node.children)) return;
        return this.#block(node, inside);
      case 'p':
        return this.#paragraph(node, inside);
      case 'blockquote':
        return this.#as('quote', () => this.#block(node, inside));
      case 'summary':
      case 'caption':
        return this.#as('quiet', () => this.#block(node, { ...inside, face: 'strong' }));
      case 'figcaption':
        return this.#as('quiet', () => this.#block(node, inside));
      case 'figure':
        return this.#figure(node, inside);
      case 'ul':
      case 'ol':
        return this.#list(node, inside);
      case 'dl':
        return this.#facts(node, inside);
      case 'tr':
        return this.#row(node);
      default:
        return this.#block(node, inside);
    }
  }

  #heading(node: Element, level: number): void {
    this.flush();
    if (level === 1 && this.title === '') {
      this.title = textOf(node);
      return;
    }
    this.read(node.children);
    const runs = trimmed(this.#runs);
    this.#runs = [];
    if (runs.length > 0)
      this.blocks.push({ kind: 'heading', level: Math.min(4, Math.max(2, level)) as 2 | 3 | 4, runs });
  }

  #paragraph(node: Element, inside: Inside): void {
    const tone = hasClass(node, 'lead') ? 'lead' : this.#tone;
    this.#as(tone, () => {
      this.flush();
      if (!hasClass(node, 'lines')) this.read(node.children, inside);
      // Lines as their maker broke them.
      else
        for (const line of DomUtils.textContent(node).split('\n')) {
          this.#text(line, inside);
          this.flush();
        }
      this.flush();
    });
  }

  #picture({ attribs }: Element, caption: string): void {
    const [width, height] = [Number(attribs['width']), Number(attribs['height'])];
    const file = fileOf(attribs['src'] ?? '', this.#path);
    if (!(width > 0) || !(height > 0) || file === null) return;
    const picture = { file, width, height, alt: attribs['alt'] ?? '', caption };
    if (this.title === '') return void this.opening.push(picture);
    this.flush();
    const last = this.blocks.at(-1);
    if (last?.kind === 'pictures' && last.small === this.#isSmall) last.pictures.push(picture);
    else this.blocks.push({ kind: 'pictures', pictures: [picture], small: this.#isSmall });
  }

  /** A picture with words below it is one thing; a figure of anything else is read as what it holds. */
  #figure(node: Element, inside: Inside): void {
    const caption = DomUtils.findOne(({ name }) => name === 'figcaption', node.children);
    const pictures = DomUtils.findAll(({ name }) => name === 'img', node.children);
    const plain =
      caption === null || !caption.children.some((child) => isTag(child) && !inline.has(child.name));
    const [only, ...more] = pictures;
    const other = DomUtils.findOne(
      ({ name }) => /^(audio|video|dl|table|details)$/.test(name),
      node.children,
    );
    if (!only || more.length > 0 || !plain || other) return this.#block(node, inside);
    this.#picture(only, caption ? textOf(caption) : '');
  }

  #list(node: Element, inside: Inside): void {
    this.flush();
    const before = this.#item;
    const depth = before ? before.depth + 1 : 0;
    let number = Number(node.attribs['start'] ?? 1);
    for (const item of node.children.filter(isTag)) {
      if (item.name !== 'li') continue;
      // Moments and the like are laid out, and are no lists on paper.
      const laidOut = DomUtils.findOne(
        ({ name }) => /^(h\d|figure|dl|div|section)$/.test(name),
        item.children,
      );
      this.#item = laidOut ? null : { mark: node.name === 'ol' ? `${number}.` : '•', depth };
      const outside = this.#isSmall;
      this.#isSmall = outside || laidOut !== null;
      this.#block(item, inside);
      this.#isSmall = outside;
      number += 1;
    }
    this.#item = before;
  }

  #facts(node: Element, inside: Inside): void {
    this.flush();
    let name = '';
    const pieces = DomUtils.findAll((one) => one.name === 'dt' || one.name === 'dd', node.children);
    for (const piece of pieces) {
      if (piece.name === 'dt') {
        name = textOf(piece);
        continue;
      }
      for (const block of this.#inner(piece, inside)) {
        if (block.kind === 'words' && block.tone !== 'quote') {
          this.blocks.push({ kind: 'fact', name, runs: block.runs });
          name = '';
        } else this.blocks.push(block);
      }
    }
  }

  /** What something holds, by itself. */
  #inner(node: Element, inside: Inside): BookBlock[] {
    const inner = new PageReader(this.#path, this.#linkTo);
    inner.title = ' ';
    inner.read(node.children, inside);
    inner.flush();
    return inner.blocks;
  }

  #row(node: Element): void {
    this.flush();
    const cells = node.children
      .filter(isTag)
      .map((cell) =>
        this.#inner(cell, { face: strong.has(cell.name) ? 'strong' : 'regular', link: null }).flatMap(
          (block, at) =>
            'runs' in block
              ? [...(at > 0 ? [{ text: ' ', face: 'regular' as const }] : []), ...block.runs]
              : [],
        ),
      );
    const head = node.children.filter(isTag).every(({ name }) => name === 'th');
    if (cells.some((runs) => runs.length > 0)) this.blocks.push({ kind: 'row', head, cells });
  }
}

const isCardTitle = (node: Element): boolean =>
  /^h[2-6]$/.test(node.name) && node.children.some((child) => isTag(child) && child.name === 'a');

/** Without spaces at either end, and without what holds nothing. */
function trimmed(runs: readonly Run[]): Run[] {
  const kept = runs.map((run) => ({ ...run }));
  const [first, last] = [kept[0], kept.at(-1)];
  if (first) first.text = first.text.trimStart();
  if (last) last.text = last.text.trimEnd();
  const left = kept.filter(({ text }) => text !== '');
  return left.some(({ text }) => text.trim() !== '') ? left : [];
}

/**
 * A page of a site as a chapter of a book: what stands in its `main`, in its order, without what only a screen has.
 *
 * @param html the page as readers get it
 * @param path where it stands below the entrance
 * @param linkTo what a link leads to in the book; null where it is words alone
 */
export function chapterOfPage(
  html: string,
  path: string,
  linkTo: (href: string) => string | null,
): Omit<BookChapter, 'depth'> {
  const main = DomUtils.findOne(({ name }) => name === 'main', parseDocument(html).children);
  const reader = new PageReader(path, linkTo);
  // A page without a title of its own begins with what it holds.
  const titled = main && DomUtils.findOne(({ name }) => name === 'h1', main.children);
  if (!titled) reader.title = ' ';
  reader.read(main?.children ?? []);
  reader.flush();
  return { path, title: reader.title.trim(), opening: reader.opening, blocks: reader.blocks };
}
