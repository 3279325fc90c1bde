import { format, parseISO } from 'date-fns';
import type { Month } from './case-facts.ts';
import { partialDateInWords } from '../dates/partial-date-in-words.ts';

/**
 * How long something took, in words: "September to December 2025", "November 2025 to March 2026", "since March 2026",
 * "2024 to 2025". Empty when no beginning is known. A last month before the first is read as no last month.
 */
export function timeSpan(from: Month | null, to: Month | 'now' | null): string {
  if (from === null) return to === null || to === 'now' ? '' : partialDateInWords(to);
  if (to === 'now') return `since ${partialDateInWords(from)}`;
  if (to === null || to <= from || (to.length === 4 && from.startsWith(to))) return partialDateInWords(from);
  const first =
    from.length === 7 && to.length === 7 && from.slice(0, 4) === to.slice(0, 4)
      ? format(parseISO(from), 'MMMM')
      : partialDateInWords(from);
  return `${first} to ${partialDateInWords(to)}`;
}
