import { type DocumentContent, type PageWord } from '#core/materials/document.ts';
import { searchableText } from '#core/materials/uncovered-words.ts';
import { facesIn, mostFaces, type SeenFace } from '#core/personal/faces-in.ts';
import { insideOfPages, insideOfText } from '#core/personal/inside-of.ts';
import { type InsideFound, mostInside } from '#core/personal/inside.ts';
import { isCalled } from '#core/personal/is-called.ts';
import { byFirstWord } from '#core/personal/names-in.ts';
import { peopleIn } from '#core/personal/people-in.ts';
import { calledSo } from './given-names.ts';

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
  /** Who made the site and is named on it anyway. */
  by: string;
}

/** Without a page there is no place that could be covered. */
const placed = (found: Omit<InsideFound, 'page'>, page: number | null): InsideFound => ({
  ...{ ...found, page },
  regions: page === null ? [] : found.regions,
});

/** What in a file may be about a person; runs in a thread of its own. */
export function lookInside({ pages, text, seen, people, by, ...asked }: LookInside): InsideFound[] {
  const words = searchableText({ pages: [], pieces: text, leftOut: 0 });
  // Who stands in a document is asked about, known or not; what is read off pictures is too often a word by accident.
  const others = peopleIn([...pages.map((page) => page.map((one) => one.text).join(' ')), words], calledSo);
  const looked = {
    ...asked,
    people: byFirstWord([...people, ...others.filter((one) => !isCalled(one, by))]),
  };
  const seenOn = { ...asked, people: byFirstWord(people) };
  const faces = seen.flatMap(({ page, faces: some }) =>
    facesIn(some ?? []).map((region) => placed({ kind: 'face', text: '', regions: [region] }, page)),
  );
  return [
    ...[
      ...insideOfPages(pages, looked, false),
      ...seen.flatMap(({ page, words: read }) =>
        insideOfPages([read ?? []], seenOn, true).map((one) => placed(one, page)),
      ),
      ...insideOfText(words, looked),
    ].slice(0, mostInside),
    ...faces.slice(0, mostFaces),
  ];
}

/** Whoever looks to be named in the words of a site, but for who made it. */
export const lookForPeople = ({ texts, by }: { texts: readonly string[]; by: string }): string[] =>
  peopleIn(texts, calledSo).filter((one) => !isCalled(one, by));
