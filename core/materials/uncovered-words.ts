import type { BlackOut, Region } from './fixes.ts';
import type { DocumentContent, PageWord } from './document.ts';
import { blocksText } from './document.ts';

/** Share of a page by which a region is taken to be larger than drawn, so that a word cut at its edge is gone whole. */
const margin = 0.002;

const overlaps = (word: PageWord, region: Region): boolean =>
  word.x < region.x + region.width + margin &&
  word.x + word.width > region.x - margin &&
  word.y < region.y + region.height + margin &&
  word.y + word.height > region.y - margin;

/**
 * The words of one page that no blacked-out region touches, as text with its lines. A word that is covered in part is
 * gone whole.
 *
 * @param page which page, from 0
 */
export function uncoveredText(
  words: readonly PageWord[],
  page: number,
  blackOut: readonly BlackOut[] = [],
): string {
  const regions = blackOut.filter((one) => one.page === page);
  let text = '';
  let newLine = false;
  for (const word of words) {
    newLine ||= word.startsLine;
    if (regions.some((region) => overlaps(word, region))) continue;
    if (text !== '') text += newLine ? '\n' : ' ';
    text += word.text;
    newLine = false;
  }
  return text;
}

/** All words of a document that may be read and found, without those that are blacked out. */
export function searchableText(content: DocumentContent, blackOut: readonly BlackOut[] = []): string {
  return [
    ...content.pages.map((words, page) => uncoveredText(words, page, blackOut)),
    ...content.pieces.map((piece) => (piece.type === 'words' ? blocksText(piece.blocks) : piece.alt)),
  ]
    .filter(Boolean)
    .join('\n');
}
