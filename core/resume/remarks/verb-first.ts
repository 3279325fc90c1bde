import { partialDateInWords } from '../../dates/partial-date-in-words.ts';
import type { RemarkRule } from './remark.ts';

const noVerb = /^(?:I|my|we|our|the|a|an|this|there)\b/i;
/** Verbs as they are said of what still goes on. */
const present =
  /^(?:make|build|mend|repair|design|draw|write|teach|lead|run|manage|organi[sz]e|plan|help|sell|serve|clean|paint|sew|cut|weld|keep|take|give|show|test|work)s?\b(?! (?:of|for|in) )/i;

/** A line that begins with something else than what was done, or says of what is over that it goes on. */
export const verbFirst: RemarkRule = (text, { ended }) => {
  const [start] = noVerb.exec(text.trim()) ?? [];
  if (start !== undefined)
    return {
      kind: 'not-a-verb',
      words: start,
      sentence: `A line is read for its first word. “${start}” can go: begin with the verb.`,
    };
  const [verb] = present.exec(text.trim()) ?? [];
  return verb !== undefined && ended !== null && ended !== 'now'
    ? {
        kind: 'tense',
        words: verb,
        sentence: `“${verb}” says it goes on, and it ended in ${partialDateInWords(ended)}.`,
      }
    : null;
};
