import { knowsWordsOf } from '../../words/knows-words-of.ts';

const number =
  /\d|\b(?:one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|twenty|thirty|forty|fifty|hundreds?|thousands?|dozens?|half|twice|daily|weekly|monthly|every)\b/i;

/** Lines in English of which none says how many, how long or how often; of a single line nothing is said (common practice). */
export function noNumber(lines: readonly string[], language: string): string | null {
  const said = lines.filter((text) => text.trim() !== '');
  if (said.length < 2 || !knowsWordsOf(language) || said.some((text) => number.test(text))) return null;
  return 'None of these lines has a number. How many, how long, how often?';
}
