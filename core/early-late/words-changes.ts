import { diffWordsWithSpace } from 'diff';

/** A run of words: as it was, taken away since, or new. */
export interface WordsRun {
  text: string;
  change: 'same' | 'gone' | 'new';
}

/** More changes than this are no changes any more but other words; looking for them would take long. */
const mostChanges = 1500;

/**
 * What became of some words: runs that, without the new ones, are the words as they were, and without those that are gone the words as
 * they are now. By the shortest edit script over words (E. W. Myers, “An O(ND) difference algorithm”, Algorithmica 1, 1986), as the
 * package diff makes it.
 */
export function wordsChanges(was: string, now: string): WordsRun[] {
  const runs = diffWordsWithSpace(was, now, { maxEditLength: mostChanges });
  if (!runs)
    return [
      { text: was, change: 'gone' },
      { text: now, change: 'new' },
    ];
  return runs.map(({ value, added, removed }) => ({
    text: value,
    change: added ? 'new' : removed ? 'gone' : 'same',
  }));
}
