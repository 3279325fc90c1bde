import { type DocumentContent, type PageWord } from '#core/materials/document.ts';
import { searchableText } from '#core/materials/uncovered-words.ts';
import { insideOfPages, insideOfText } from '#core/personal/inside-of.ts';
import { type InsideFound, mostInside } from '#core/personal/inside.ts';
import { byFirstWord } from '#core/personal/names-in.ts';

/** What of a file is looked through. */
export interface LookInside {
  /** Words of its pages, as the file has them. */
  pages: DocumentContent['pages'];
  /** Of a document without pages. */
  text: DocumentContent['pieces'];
  /** Words that were read off pictures, of the file itself or of pages of it. */
  seen: readonly { page: number; words: readonly PageWord[] }[];
  language: string;
  today: string;
  underAge: boolean;
  people: readonly string[];
}

/** What in a file may be about a person; runs in a thread of its own. */
export function lookInside({ pages, text, seen, people, ...asked }: LookInside): InsideFound[] {
  const looked = { ...asked, people: byFirstWord(people) };
  return [
    ...insideOfPages(pages, looked, false),
    ...seen.flatMap(({ page, words }) =>
      insideOfPages([words], looked, true).map((one) => ({ ...one, page })),
    ),
    ...insideOfText(searchableText({ pages: [], pieces: text, leftOut: 0 }), looked),
  ].slice(0, mostInside);
}
