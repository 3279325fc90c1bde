import { mostLines } from '../../parts/entry.ts';
import { longestLine } from '../json-resume/lines-of-text.ts';
import { linesOfText as cutToFit } from '../json-resume/lines-of-text.ts';
import type { ResumeSection } from '../sections.ts';
import { type Guess, guessOfSection, type NumberedLine } from './guess-of-section.ts';
import { sectionNamed } from './section-named.ts';
import type { SourceLine } from './source-line.ts';

/** A guess as it can be taken in. */
export interface FittedGuess extends Guess {
  /** So many of its lines find no room in an entry. */
  beyond: number;
}

export interface GuessedResume {
  /** Whose it seems to be; empty where no line is a name. */
  name: string;
  guesses: FittedGuess[];
  /** Lines of which nothing was taken, by their numbers: addresses, headings that name nothing known. */
  leftOut: number[];
}

const isContact = (text: string): boolean =>
  /@|https?:|www\.|\+?\d[\d\s()-]{6,}\d|\b(?:phone|e-?mail|tel|address)\b/i.test(text);
const isName = (text: string): boolean =>
  /^[\p{Lu}][\p{L}'’.-]*(?:\s+[\p{L}'’.-]+){0,4}$/u.test(text) && text.length < 50;

/** As much of a guess as an entry can hold. */
function fitted({ entry, sources }: Guess): FittedGuess {
  const cut = (text: string) => text.slice(0, 160).trim();
  const lines = entry.lines.flatMap(({ text, proof }) =>
    (text.length > longestLine ? cutToFit(text) : [text]).map((piece) => ({ text: piece, proof })),
  );
  return {
    ...{ sources, beyond: Math.max(0, lines.length - mostLines) },
    entry: {
      ...entry,
      ...{ title: cut(entry.title), place: cut(entry.place), level: entry.level.slice(0, 80).trim() },
      lines: lines.slice(0, mostLines),
    },
  };
}

/**
 * Somebody's old résumé as entries, by rules: sections by what they are called, entries by where their heads and dates stand. All of it
 * are guesses, each with the lines that it was made from.
 */
export function guessedResume(lines: readonly SourceLine[]): GuessedResume {
  const parts: { section: ResumeSection | null; lines: NumberedLine[] }[] = [{ section: null, lines: [] }];
  const leftOut: number[] = [];
  const found = lines.map((line, at) => ({ ...line, at }));
  for (const line of found) {
    const words = line.text.replace(/[:.]$/, '');
    const section = words.split(/\s+/).length <= 5 && line.as !== 'item' ? sectionNamed(words) : null;
    if (section) {
      leftOut.push(line.at);
      parts.push({ section, lines: [] });
    } else parts.at(-1)?.lines.push(line);
  }
  const [top, ...sections] = parts;
  const [first] = top?.lines ?? [];
  const name = first && isName(first.text) ? first.text : '';
  const summary = (top?.lines ?? []).filter(
    ({ text, at }) => !(name && at === first?.at) && !isContact(text) && text.split(' ').length > 10,
  );
  const taken = new Set(summary.map(({ at }) => at));
  leftOut.push(...(top?.lines ?? []).map(({ at }) => at).filter((at) => !taken.has(at)));
  const guesses = [
    ...guessOfSection('goals', summary),
    ...sections.flatMap(({ section, lines: of }) => (section ? guessOfSection(section, of) : [])),
  ].map(fitted);
  return {
    name,
    guesses: guesses.filter(
      ({ entry }) => entry.title !== '' || entry.place !== '' || entry.lines.length > 0,
    ),
    leftOut: leftOut.sort((a, b) => a - b),
  };
}
