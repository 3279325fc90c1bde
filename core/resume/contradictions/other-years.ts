import { timeSpanForReaders } from '../../dates/date-for-readers.ts';
import type { ContradictionRule } from './contradiction.ts';

const year = /\b(?:19|20)\d{2}\b/g;

/** Names years of which none lies in the time of the project. */
export const otherYears: ContradictionRule = ({ text, entry }, { title, facts: { from, to } }) => {
  const named = text.match(year);
  if (named === null || from === null) return null;
  const first = from.slice(0, 4);
  const last = to === 'now' ? '9999' : (to ?? from).slice(0, 4);
  if (named.some((one) => one >= first && one <= last)) return null;
  return {
    kind: 'years',
    entry: entry?.id ?? null,
    sentence: `“${text}” says ${named[0]}. The page of ${title} says ${timeSpanForReaders(from, to, 'en')}.`,
  };
};
