import type { Month } from '../../pages/case-facts.ts';

/** Where a line stands, as far as its words depend on it. */
export interface LineContext {
  /** When its entry ended; `now` while it goes on, null where that is not known. */
  ended: Month | 'now' | null;
}

/** What was noticed about a line: the words it is about, and a sentence that says what to do. */
export interface Remark {
  kind: 'empty' | 'weak' | 'passive' | 'stale' | 'tense' | 'not-a-verb';
  /** As they stand in the line. */
  words: string;
  sentence: string;
}

/** Looks at a line in English; at most one remark of its kind, the first. */
export type RemarkRule = (text: string, context: LineContext) => Remark | null;
