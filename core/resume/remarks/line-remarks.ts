import { knowsWordsOf } from '../../words/knows-words-of.ts';
import { emptyPhrase } from './empty-phrase.ts';
import { passiveVoice } from './passive-voice.ts';
import type { LineContext, Remark, RemarkRule } from './remark.ts';
import { staleWords } from './stale-words.ts';
import { verbFirst } from './verb-first.ts';
import { weakOpening } from './weak-opening.ts';

const rules: readonly RemarkRule[] = [emptyPhrase, weakOpening, passiveVoice, staleWords, verbFirst];

/**
 * What could be said better in a line of a résumé. Remarks and no faults: nothing waits for them. The rules know English; of lines in
 * another language nothing is said.
 *
 * @param language what the line is written in (BCP 47)
 */
export function lineRemarks(text: string, language: string, context: LineContext): Remark[] {
  if (text.trim() === '' || !knowsWordsOf(language)) return [];
  const remarks = rules.flatMap((rule) => rule(text, context) ?? []);
  // "Was responsible for" is weak; that it is passive as well helps nobody.
  return remarks.some(({ kind }) => kind === 'weak')
    ? remarks.filter(({ kind }) => kind !== 'passive')
    : remarks;
}
