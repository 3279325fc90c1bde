import type { GuessedResume } from '#core/resume/taken-in/guessed-resume.ts';
import { trueEntries, type SampleResume } from './sample-resumes.ts';

/** How much of a résumé was found again. */
export interface Found {
  entries: number;
  /** Entries of which there is a guess in the right section. */
  found: number;
  /** Guesses that are no entry of it. */
  wrong: number;
  /** Of those found: names and places, and beginnings and ends, that are as they should be. */
  names: number;
  namesRight: number;
  dates: number;
  datesRight: number;
  /** Whether it says whose it is. */
  owner: number;
}

const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** Compares guesses with what the file was made from. */
export function foundOf(of: SampleResume, { name, guesses }: GuessedResume): Found {
  const left = guesses.filter(({ entry }) => entry.section !== 'goals').map(({ entry }) => entry);
  const all = trueEntries(of);
  const count: Found = {
    ...{ entries: all.length, found: 0, wrong: 0, names: 0, namesRight: 0, dates: 0, datesRight: 0 },
    owner: Number(plain(name) === plain(of.basics.name)),
  };
  for (const { section, title, place, from, to } of all) {
    const says = (text: string, wanted: string) => wanted !== '' && plain(text).includes(plain(wanted));
    const at = left.findIndex(
      (one) =>
        one.section === section &&
        (says(one.title, title) ||
          says(one.place, title) ||
          (one.title !== '' && says(title, one.title) && one.title.length > 5)),
    );
    const [guess] = at < 0 ? [] : left.splice(at, 1);
    if (!guess) continue;
    count.found++;
    count.names += place === '' ? 1 : 2;
    count.namesRight += Number(says(guess.title, title)) + Number(place !== '' && says(guess.place, place));
    if (from !== null) {
      count.dates += to === null ? 1 : 2;
      count.datesRight += Number(guess.from === from) + Number(to !== null && guess.to === to);
    }
  }
  count.wrong = left.length;
  return count;
}
