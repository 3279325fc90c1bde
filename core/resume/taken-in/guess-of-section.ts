import type { ResumeSection } from '../sections.ts';
import { nothingTaken, type TakenEntry } from '../json-resume/taken-entry.ts';
import { dateSpan } from './date-span.ts';
import { piecesOfHead, saysWhat } from './head-words.ts';
import { trimmed } from '../../words/trimmed.ts';
import type { SourceLine } from './source-line.ts';

/** An entry as it was guessed, with the lines that it was guessed from, by their numbers. */
export interface Guess {
  entry: TakenEntry;
  sources: number[];
}
export type NumberedLine = SourceLine & { at: number };

const line = (text: string) => ({ text, proof: null });
/** A line that says something, and is no head of an entry. */
const isSentence = ({ text }: SourceLine): boolean =>
  text.length > 110 ||
  (/[.!?]$/.test(text) && text.split(' ').length > 5 && !/\b(?:inc|ltd|st)\.$/i.test(text));

/** The head of an entry, spread over what it is called, where it was and when. */
function headed(section: ResumeSection, heads: readonly string[]): Omit<TakenEntry, 'lines'> {
  const found: Omit<TakenEntry, 'lines'> = { ...nothingTaken, section };
  const rests = heads.map((head) => {
    const span = found.from === null && found.to === null ? dateSpan(head) : null;
    if (!span) return head;
    found.from = span.from;
    found.to = span.to;
    return span.rest;
  });
  const pieces = rests.flatMap(piecesOfHead);
  const [first = '', second = ''] = pieces;
  const ofStudies = section === 'education';
  const school = ofStudies ? pieces.find((piece) => saysWhat(piece, true) < 0) : undefined;
  // A degree and its subject stand apart, and both are what was studied.
  if (school !== undefined && pieces.length > 1) {
    const at = pieces.indexOf(school);
    const studied = at === 0 ? pieces.slice(1) : pieces.slice(0, at);
    const where = at === 0 ? [school] : pieces.slice(at);
    return { ...found, title: studied.join(', '), place: where.join(', ') };
  }
  // Most write first what they did; where words say otherwise they are believed.
  const turned = second !== '' && saysWhat(second, ofStudies) > saysWhat(first, ofStudies);
  const [title, ...where] = turned ? [second, first, ...pieces.slice(2)] : pieces;
  return { ...found, title: title ?? '', place: where.join(', ') };
}

/** Entries that were at a time, each a head and what there is to say of it. */
function timed(section: ResumeSection, lines: readonly NumberedLine[]): Guess[] {
  const groups: { heads: NumberedLine[]; said: NumberedLine[] }[] = [];
  const hasDate = (of: readonly NumberedLine[]) => of.some(({ text }) => dateSpan(text) !== null);
  for (const [n, one] of lines.entries()) {
    const last = groups.at(-1);
    const next = lines[n + 1];
    // Behind the date, several words that no date follows say what it was.
    const saysMore =
      last !== undefined &&
      one.as === 'plain' &&
      !one.strong &&
      hasDate(last.heads) &&
      one.text.split(' ').length > 4 &&
      dateSpan(one.text) === null &&
      (next === undefined || next.as === 'item' || dateSpan(next.text) === null);
    if (last && (one.as === 'item' || isSentence(one) || saysMore)) {
      last.said.push(one);
      continue;
    }
    const isNew =
      !last ||
      last.said.length > 0 ||
      (one.as === 'heading' && last.heads.length > 0) ||
      // Two dates are two entries.
      (hasDate(last.heads) && dateSpan(one.text) !== null) ||
      (one.gap && hasDate(last.heads) && last.heads.length > 1) ||
      last.heads.length > 3;
    if (isNew) groups.push({ heads: [one], said: [] });
    else last.heads.push(one);
  }
  return groups.map(({ heads, said }) => ({
    entry: {
      ...headed(
        section,
        heads.map(({ text }) => text),
      ),
      lines: said.map(({ text }) => line(text)),
    },
    sources: [...heads, ...said].map(({ at }) => at),
  }));
}

const pieces = (words: string): string[] =>
  words
    .split(/ {4}|[,;] | [•·|] /u)
    .map((piece) => piece.trim())
    .filter(Boolean);
const dashes = [' – ', ' — ', ' - '];

/** A name, and how well: in brackets or behind a dash. */
function levelled(words: string): Pick<TakenEntry, 'title' | 'level'> {
  const bracket = words.lastIndexOf('(');
  if (bracket > 0 && words.endsWith(')'))
    return { title: words.slice(0, bracket).trim(), level: words.slice(bracket + 1, -1).trim() };
  const dash = dashes.map((one) => words.indexOf(one)).find((at) => at > 0);
  return dash === undefined
    ? { title: words.trim(), level: '' }
    : { title: words.slice(0, dash).trim(), level: words.slice(dash + 3).trim() };
}

/** Skills, languages and interests: a name, how well, and what belongs to it; or a list in one line. */
function listed(section: ResumeSection, lines: readonly NumberedLine[]): Guess[] {
  const guesses: Guess[] = [];
  for (const { text, at, as, strong } of lines) {
    const colon = text.indexOf(':');
    const [name, more] = colon > 1 && colon <= 60 ? [text.slice(0, colon), text.slice(colon + 1)] : ['', ''];
    const last = guesses.at(-1);
    const put = (words: string, said: string[]) =>
      guesses.push({
        entry: { ...nothingTaken, section, ...levelled(words), lines: said.map(line) },
        sources: [at],
      });
    if (name) {
      if (section === 'languages') put(`${name} – ${more}`, []);
      else put(name, pieces(more));
    } else if (as === 'heading' || strong) put(text, []);
    else if (last && lines.some((one) => one.as === 'heading' || one.strong)) {
      // What stands below a name belongs to it.
      last.entry.lines.push(...pieces(text).map(line));
      last.sources.push(at);
    } else for (const piece of pieces(text)) put(piece, []);
  }
  return guesses;
}

/** What was given or written at one time: what, by whom, when, and a word on it. */
function dated(section: ResumeSection, lines: readonly NumberedLine[]): Guess[] {
  const guesses: Guess[] = [];
  let heads: string[] = [];
  for (const one of lines) {
    const last = guesses.at(-1);
    const follows =
      last &&
      !one.gap &&
      one.as !== 'heading' &&
      !one.strong &&
      last.entry.from === null &&
      dateSpan(one.text);
    const saysMore = last && last.entry.from !== null && one.as === 'plain' && !one.strong;
    if (last && (isSentence(one) || saysMore) && dateSpan(one.text) === null) {
      last.entry.lines.push(line(one.text));
      last.sources.push(one.at);
    } else if (last && follows) {
      // The date, or who gave it, stands in a line of its own.
      heads.push(one.text);
      const { title, place, from, to } = headed(section, heads);
      Object.assign(last.entry, { title, place, from, to });
      last.sources.push(one.at);
    } else {
      heads = [one.text];
      guesses.push({ entry: { ...headed('awards', heads), section, lines: [] }, sources: [one.at] });
    }
  }
  return guesses;
}

/** Who speaks for somebody, and what they say. */
function spoken(lines: readonly NumberedLine[]): Guess[] {
  const guesses: Guess[] = [];
  const ofReference = (title: string, text: string, sources: number[]) =>
    guesses.push({
      entry: { ...nothingTaken, section: 'references', title, lines: text ? [line(text)] : [] },
      sources,
    });
  for (const { text, at } of lines) {
    const last = guesses.at(-1);
    const end = Math.max(...[...'”"»'].map((quote) => text.lastIndexOf(quote)));
    const quoted = /^[“"«]/u.test(text) && end > 1;
    const [said, by] = quoted ? [text.slice(1, end), trimmed(text.slice(end + 1), '–—-')] : ['', ''];
    const colon = text.indexOf(': ');
    const [name, words] =
      colon > 1 && colon <= 60 && text.length > colon + 20
        ? [text.slice(0, colon), text.slice(colon + 2)]
        : ['', ''];
    const bare = trimmed(text, '“"«', '”"»');
    if (said && by) ofReference(by, said, [at]);
    else if (name && words) ofReference(name, trimmed(words, '“"«', '”"»'), [at]);
    else if (last && last.entry.lines.length === 0 && bare.length > 30) {
      last.entry.lines.push(line(bare));
      last.sources.push(at);
    } else if (last && last.entry.title === '' && bare.length <= 60) {
      last.entry.title = trimmed(bare, '–—-');
      last.sources.push(at);
    } else if (bare.length > 60) ofReference('', bare, [at]);
    else ofReference(bare, '', [at]);
  }
  return guesses;
}

/** What the lines of one section say, entry by entry. */
export function guessOfSection(section: ResumeSection, lines: readonly NumberedLine[]): Guess[] {
  switch (section) {
    case 'goals':
      return lines.length === 0
        ? []
        : [
            {
              entry: { ...nothingTaken, section, lines: lines.map(({ text }) => line(text)) },
              sources: lines.map(({ at }) => at),
            },
          ];
    case 'skills':
    case 'languages':
    case 'interests':
      return listed(section, lines);
    case 'certificates':
    case 'awards':
    case 'publications':
      return dated(section, lines);
    case 'references':
      return spoken(lines);
    default:
      return timed(section, lines);
  }
}
