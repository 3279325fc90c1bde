import type { PageWord } from '../materials/document.ts';
import type { Region } from '../materials/fixes.ts';
import { type InsideFound, mostInside } from './inside.ts';
import { type ByFirstWord, namesIn } from './names-in.ts';
import { personalIn } from './personal-in.ts';
import { platesIn } from './plates-in.ts';
import { regionAround } from './region-around.ts';

/** What is looked for. */
export interface InsideAsked {
  /** Of the words, as BCP 47 writes it. */
  language: string;
  /** As ISO 8601 writes it. */
  today: string;
  /** The maker is under 18; see `personalIn`. */
  underAge: boolean;
  /** Names of people the maker knows. */
  people: ByFirstWord;
}

type Told = Pick<InsideFound, 'kind' | 'text'>;

function lookedFor(
  text: string,
  { language, today, underAge, people }: InsideAsked,
  isSeen: boolean,
): Told[] {
  const plates = isSeen ? platesIn(text) : [];
  return [
    ...personalIn(text, language, today, underAge).filter(
      ({ text: one }) => !plates.some((plate) => plate.includes(one)),
    ),
    ...[...new Set(plates)].map((plate) => ({ kind: 'plate' as const, text: plate })),
    ...[...new Set(namesIn(text, people))].map((name) => ({ kind: 'name' as const, text: name })),
  ];
}

/** The host in an address of mail, with what may stand behind it. */
const host = /^[\w-]+(?:\.[\w-]+)*\.[a-z]{2,}\W?$/i;

/** A reader of letters takes the sign in an address of mail for a word of its own now and then. */
const isOneWord = (before: string, word: string): boolean =>
  (before.endsWith('@') && host.test(word)) ||
  (/\w$/.test(before) && word.startsWith('@') && host.test(word.slice(1)));

/** A line that ends before this share of the way to the end of the longest one has ended by itself (our choice). */
const fullLine = 0.75;

/**
 * Words as one text, and where in it each of them stands. What goes over the end of a full line is one thing to whoever reads it;
 * what stands below a short one, as in a form, is another.
 */
function withPlaces(words: readonly PageWord[], isSeen: boolean): { text: string; starts: number[] } {
  const right = ({ x, width }: PageWord) => x + width;
  const longest = Math.max(0, ...words.map(right));
  let text = '';
  const starts = words.map((word, at) => {
    const before = words[at - 1];
    if (before && word.startsLine) text += right(before) < longest * fullLine ? '\n\n' : ' ';
    else if (before && !(isSeen && isOneWord(text, word.text))) text += ' ';
    const start = text.length;
    text += word.text;
    return start;
  });
  return { text, starts };
}

/** What lies around words of one line, with a little air: letters reach over the box a reader of letters gives them. */
function around(words: readonly PageWord[]): Region {
  const air = Math.max(...words.map(({ height }) => height)) * 0.2;
  const x = Math.min(...words.map((one) => one.x));
  const y = Math.min(...words.map((one) => one.y));
  const width = Math.max(...words.map((one) => one.x + one.width)) - x;
  const height = Math.max(...words.map((one) => one.y + one.height)) - y;
  return regionAround({ x, y, width, height }, air, air);
}

/** Where something stands on a page, every time it does: a region a line. */
function regionsOf(
  found: string,
  words: readonly PageWord[],
  text: string,
  starts: readonly number[],
): Region[] {
  const asWritten = found
    .split(/\s+/u)
    .map((part) => part.replaceAll(/[$()*+./?[\\\]^{|}]/gu, String.raw`\$&`))
    .join(String.raw`\s+`);
  return [...text.matchAll(new RegExp(asWritten, 'gu'))].flatMap(({ index, 0: whole }) => {
    const lines: PageWord[][] = [];
    words.forEach((word, at) => {
      const start = starts[at] ?? 0;
      if (start >= index + whole.length || start + word.text.length <= index) return;
      const line = lines.at(-1);
      if (line && !word.startsLine) line.push(word);
      else lines.push([word]);
    });
    return lines.map(around);
  });
}

/**
 * What in a file with pages may be about a person, and where on them it stands.
 *
 * @param pages their words, in reading order
 * @param isSeen they were read off a picture, where number plates are looked for too
 */
export function insideOfPages(
  pages: readonly (readonly PageWord[])[],
  asked: InsideAsked,
  isSeen: boolean,
): InsideFound[] {
  return pages
    .flatMap((words, page) => {
      const { text, starts } = withPlaces(words, isSeen);
      return lookedFor(text, asked, isSeen).map((one): InsideFound => ({
        ...one,
        page,
        regions: regionsOf(one.text, words, text, starts),
      }));
    })
    .slice(0, mostInside);
}

/** The same of a document that has words and no pages. */
export const insideOfText = (text: string, asked: InsideAsked): InsideFound[] =>
  lookedFor(text, asked, false)
    .map((one): InsideFound => ({ ...one, page: null, regions: [] }))
    .slice(0, mostInside);
