import { partialDateInWords } from '../../dates/partial-date-in-words.ts';
import type { RemarkRule } from './remark.ts';

const ongoing = /\b(?:currently|at the moment|at present|nowadays|these days|right now)\b/i;
const passing =
  /\b(?:this (?:year|term|month|week|summer|autumn|spring|winter|season)|(?:last|next) (?:year|term|month|summer|autumn|spring|winter)|recently|(?:first|second|third|final)[- ]year|\d{1,2}[- ]years?[- ]old)\b/i;

/** Words that become untrue by themselves, or are so already. */
export const staleWords: RemarkRule = (text, { ended }) => {
  const [now] = ongoing.exec(text) ?? [];
  if (now !== undefined && ended !== null && ended !== 'now')
    return {
      kind: 'stale',
      words: now,
      sentence: `“${now}”, but this ended in ${partialDateInWords(ended)}.`,
    };
  const [words] = passing.exec(text) ?? [];
  return words === undefined
    ? null
    : {
        kind: 'stale',
        words,
        sentence: `“${words}” will be wrong in a year. Name the year, or leave it out.`,
      };
};
