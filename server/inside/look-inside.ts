import { type DocumentContent, type PageWord } from '#core/materials/document.ts';
import { searchableText } from '#core/materials/uncovered-words.ts';
import { facesIn, mostFaces, type SeenFace } from '#core/personal/faces-in.ts';
import { insideOfPages, insideOfText } from '#core/personal/inside-of.ts';
import { type InsideFound, mostInside } from '#core/personal/inside.ts';
import { byFirstWord } from '#core/personal/names-in.ts';

/** What of a file is looked through. */
export interface LookInside {
  /** Words of its pages, as the file has them. */
  pages: DocumentContent['pages'];
  /** Of a document without pages. */
  text: DocumentContent['pieces'];
  /** What was seen in pictures: of the file itself, of pages of it, or, without a page, of what stands in it. */
  seen: readonly {
    page: number | null;
    words: readonly PageWord[] | null;
    faces: readonly SeenFace[] | null;
  }[];
  language: string;
  today: string;
  underAge: boolean;
  people: readonly string[];
}

/** Without a page there is no place that could be covered. */
const placed = (found: Omit<InsideFound, 'page'>, page: number | null): InsideFound => ({
  ...{ ...found, page },
  regions: page === null ? [] : found.regions,
});

/** What in a file may be about a person; runs in a thread of its own. */
export function lookInside({ pages, text, seen, people, ...asked }: LookInside): InsideFound[] {
  const looked = { ...asked, people: byFirstWord(people) };
  const faces = seen.flatMap(({ page, faces: some }) =>
    facesIn(some ?? []).map((region) => placed({ kind: 'face', text: '', regions: [region] }, page)),
  );
  return [
    ...[
      ...insideOfPages(pages, looked, false),
      ...seen.flatMap(({ page, words }) =>
        insideOfPages([words ?? []], looked, true).map((one) => placed(one, page)),
      ),
      ...insideOfText(searchableText({ pages: [], pieces: text, leftOut: 0 }), looked),
    ].slice(0, mostInside),
    ...faces.slice(0, mostFaces),
  ];
}
