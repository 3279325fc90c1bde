import { readFile } from 'node:fs/promises';
import { marked } from 'marked';
import sharp from 'sharp';
import {
  blocksText,
  type DocumentContent,
  type DocumentFacts,
  type DocumentPiece,
  emptyDocument,
} from '#core/materials/document.ts';
import type { Block } from '#core/words/rich-text.ts';
import { type Structure, structureFromHtml } from '#core/words/blocks-from-html.ts';
import { cut } from '#core/words/cut.ts';
import { Problem } from '../http/problem.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { RawPixels } from '../media/fixed-pixels.ts';
import { htmlFromOdt } from './html-from-odt.ts';
import { openArchive } from './open-archive.ts';
import { readPdf } from './read-pdf.ts';
import { slideWords } from './slide-words.ts';
import { textOf } from './text-of.ts';

export interface ReadDocument {
  facts: DocumentFacts;
  content: DocumentContent;
  /** What it is recognised by; null when it has no pages. */
  cover: RawPixels | null;
}

const decoder = new TextDecoder();
const paragraph = (text: string): Block => ({ type: 'paragraph', content: [{ type: 'text', text }] });
const countWords = (pieces: readonly DocumentPiece[]): number =>
  pieces
    .flatMap((piece) => (piece.type === 'words' ? blocksText(piece.blocks).split(/\s+/) : []))
    .filter(Boolean).length;

/** How deep things stand in each other; found without calling itself, since that is what a trap is made for. */
function levelsOf(pieces: readonly DocumentPiece[]): number {
  let deepest = 0;
  const open: [unknown, number][] = pieces.map((piece) => [piece, 0]);
  for (let next = open.pop(); next; next = open.pop()) {
    const [value, level] = next;
    deepest = Math.max(deepest, level);
    if (typeof value !== 'object' || value === null) continue;
    // Objects and lists take turns, so two steps are one level.
    for (const inside of Object.values(value)) open.push([inside, level + 0.5]);
  }
  return deepest;
}

/** Structure with its pictures stored: neighbouring blocks are one piece, a picture is one of its own. */
async function piecesOf(
  structure: readonly Structure[],
  pictureAt: (src: string) => Uint8Array | undefined,
  blobs: BlobStore,
): Promise<Pick<DocumentContent, 'pieces' | 'leftOut'>> {
  const pieces: DocumentPiece[] = [];
  let leftOut = 0;
  for (const one of structure) {
    if (one.type === 'block') {
      const last = pieces.at(-1);
      if (last?.type === 'words') last.blocks.push(one.block);
      else pieces.push({ type: 'words', blocks: [one.block] });
      continue;
    }
    const bytes = pictureAt(one.src);
    const meta =
      bytes &&
      (await sharp(bytes)
        .metadata()
        .catch(() => null));
    // Drawings of the office programs themselves (EMF, WMF) and pictures that are only linked cannot be shown.
    if (!bytes || !meta || !['jpeg', 'png', 'webp', 'gif', 'avif', 'tiff'].includes(meta.format)) {
      leftOut++;
      continue;
    }
    const turned = (meta.orientation ?? 1) >= 5;
    pieces.push({
      type: 'picture',
      picture: await blobs.put(bytes),
      widthPx: turned ? meta.height : meta.width,
      heightPx: turned ? meta.width : meta.height,
      alt: cut(one.alt, 600),
    });
  }
  return { pieces, leftOut };
}

async function readDocx(bytes: Buffer, blobs: BlobStore): Promise<DocumentContent> {
  // The archive is looked through before the reader that unpacks all of it gets it.
  openArchive(bytes, () => false);
  const pictures: Uint8Array[] = [];
  // A tenth of a second to load, of which nothing else that is read here has any use.
  const { default: mammoth } = await import('mammoth');
  const { value } = await mammoth.convertToHtml(
    { buffer: bytes },
    {
      // A title stands above the headings, so these move down by one.
      styleMap: [
        "p[style-name='Title'] => h1:fresh",
        ...[1, 2, 3, 4, 5].map((level) => `p[style-name='Heading ${level}'] => h${level + 1}:fresh`),
        "p[style-name='Quote'] => blockquote > p:fresh",
        "p[style-name='Intense Quote'] => blockquote > p:fresh",
        "p[style-name='Block Text'] => blockquote > p:fresh",
      ],
      convertImage: mammoth.images.imgElement(async (image) => {
        pictures.push(await image.readAsBuffer());
        return { src: `kept:${pictures.length - 1}` };
      }),
    },
  );
  const found = await piecesOf(structureFromHtml(value), (src) => pictures[Number(src.slice(5))], blobs);
  return { ...emptyDocument, ...found };
}

async function readOdt(bytes: Buffer, blobs: BlobStore): Promise<DocumentContent> {
  const files = openArchive(bytes, (name) => /^(content|styles)\.xml$|^Pictures\//.test(name));
  const text = (name: string) => decoder.decode(files.get(name) ?? new Uint8Array());
  const html = htmlFromOdt(text('content.xml'), text('styles.xml'));
  const found = await piecesOf(structureFromHtml(html), (src) => files.get(src.replace(/^\.\//, '')), blobs);
  return { ...emptyDocument, ...found };
}

function readSlides(bytes: Buffer, format: 'pptx' | 'odp'): DocumentContent {
  const wanted = format === 'pptx' ? /^ppt\/slides\/slide(\d+)\.xml$/ : /^(content)\.xml$/;
  const files = openArchive(bytes, (name) => wanted.test(name));
  const lines = [...files]
    .sort(([a], [b]) => Number(wanted.exec(a)?.[1]) - Number(wanted.exec(b)?.[1]))
    .flatMap(([, xml]) => slideWords(decoder.decode(xml), format === 'pptx' ? 'a:p' : 'text:p'));
  return {
    ...emptyDocument,
    pieces: lines.length > 0 ? [{ type: 'words', blocks: lines.map(paragraph) }] : [],
  };
}

/** Reads everything but PDF: words with their structure, and the pictures among them. */
async function contentOf(
  bytes: Buffer,
  format: Exclude<DocumentFacts['format'], 'pdf'>,
  blobs: BlobStore,
): Promise<DocumentContent> {
  switch (format) {
    case 'docx':
      return readDocx(bytes, blobs);
    case 'odt':
      return readOdt(bytes, blobs);
    case 'pptx':
    case 'odp':
      return readSlides(bytes, format);
    case 'markdown': {
      const html = await marked.parse(textOf(bytes), { async: true, gfm: true });
      // Pictures of a Markdown file lie beside it, not in it.
      return { ...emptyDocument, ...(await piecesOf(structureFromHtml(html), () => undefined, blobs)) };
    }
    case 'text': {
      const blocks = textOf(bytes)
        .split(/\n\s*\n/)
        .map((text) => text.trim())
        .filter(Boolean)
        .flatMap((text) =>
          structureFromHtml(
            `<pre>${text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;')}</pre>`,
          ),
        )
        .flatMap((one) => (one.type === 'block' ? [one.block] : []));
      return { ...emptyDocument, pieces: blocks.length > 0 ? [{ type: 'words', blocks }] : [] };
    }
  }
}

/** A text of this many bytes is some five hundred pages; more is not there to be read in place. */
const mostTextBytes = 1024 * 1024;
/** Lists in lists in lists: a document of people has three or four levels. */
const mostLevels = 30;
const tooLong = () =>
  new Problem(
    413,
    'too-long',
    'There is more text in this document than can be shown in place, more than 1 MB. Save the part you want to show by itself.',
  );

/**
 * Reads a document of a known format. Pictures that stand in it are stored; the file itself is only read.
 *
 * @throws Problem with a sentence when it is broken, locked or too large inside
 */
export async function readDocument(
  path: string,
  hash: string,
  format: DocumentFacts['format'],
  blobs: BlobStore,
): Promise<ReadDocument> {
  if (format === 'pdf') return readPdf(path, hash);
  const bytes = await readFile(path);
  if ((format === 'text' || format === 'markdown') && bytes.length > mostTextBytes) throw tooLong();
  try {
    const content = await contentOf(bytes, format, blobs);
    const letters = content.pieces.reduce(
      (sum, piece) => sum + (piece.type === 'words' ? blocksText(piece.blocks).length : 0),
      0,
    );
    if (letters > mostTextBytes) throw tooLong();
    if (levelsOf(content.pieces) > mostLevels)
      throw new Problem(
        422,
        'too-deep',
        `In this document, lists or quotes stand in each other more than ${mostLevels} deep. Save it with fewer levels and add it again.`,
      );
    return { facts: { format, pages: [], words: countWords(content.pieces) }, content, cover: null };
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(
      422,
      'broken',
      'This document could not be read. Open it where it was made, save it again, or save it as PDF, and add that.',
    );
  }
}
