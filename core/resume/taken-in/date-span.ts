import type { Month } from '../../pages/case-facts.ts';
import { trimmed } from '../../words/trimmed.ts';
import { plainLine } from './plain-line.ts';

export interface FoundSpan {
  from: Month | null;
  to: Month | 'now' | null;
  /** The text without it. */
  rest: string;
}

/** Names of months, long and short, in the languages that pages are written in most here. */
const monthNumbers = new Map<string, number>();
for (const locale of ['en', 'de', 'fr', 'es'])
  for (const month of ['long', 'short'] as const)
    for (let at = 0; at < 12; at++)
      monthNumbers.set(
        new Date(Date.UTC(2024, at, 15))
          .toLocaleDateString(locale, { month, timeZone: 'UTC' })
          .toLowerCase()
          .replace(/\.$/, ''),
        at + 1,
      );
monthNumbers.set('sept', 9);

const names = [...monthNumbers.keys()].sort((a, b) => b.length - a.length).join('|');
const year = String.raw`(?:19[5-9]\d|20[0-4]\d)`;
/** A month with its year, or a year, in one of the ways in which people write them. */
const one = String.raw`(?:(?:${names})\.?,?\s+${year}|${year}[-/](?:0[1-9]|1[0-2])(?:-\d{2})?(?!\d)|(?:0?[1-9]|1[0-2])[/.]${year}|(?:spring|summer|autumn|fall|winter)\s+${year}|${year})`;
const now =
  "(?:present|now|current(?:ly)?|today|ongoing|heute|jetzt|aujourd’hui|aujourd'hui|actualidad|presente)";
const until = String.raw`\s*(?:[-–—]|\bto\b|\buntil\b|\bbis\b|(?<=\s)[àa](?=\s))\s*`;
const edges = (pattern: string) => new RegExp(String.raw`(?<![\p{L}\d])${pattern}(?![\p{L}\d])`, 'iu');
const range = edges(String.raw`(?<from>${one})${until}(?<to>${one}|${now})`);
const halfRange = edges(String.raw`(?<month>${names})\.?${until}(?<to>(?:${names})\.?,?\s+${year})`);
const since = edges(String.raw`(?:since|seit|depuis|desde|from)\s+(?<from>${one})`);
const single = edges(String.raw`(?<from>${one})`);

/** What is written as ISO 8601 writes it: "2013-12" or "2013". */
function monthOf(text: string): Month {
  const [inFour = ''] = new RegExp(year).exec(text) ?? [];
  const named = new RegExp(String.raw`^(${names})`, 'i').exec(text)?.[1];
  const number =
    (named && monthNumbers.get(named.toLowerCase())) ??
    Number(/^\d{4}[-/](\d{2})/.exec(text)?.[1] ?? /^(\d{1,2})[/.]/.exec(text)?.[1] ?? 0);
  return number ? `${inFour}-${String(number).padStart(2, '0')}` : inFour;
}

/** The text with a piece taken out, and with it what only held it: brackets, and a separator that now parts nothing. */
function without(text: string, found: RegExpExecArray): string {
  const head = text.slice(0, found.index);
  const tail = text.slice(found.index + found[0].length);
  return plainLine(`${trimmed(head, '', '([,;|·–—-')}   ${trimmed(tail, ')],;.|·–—-', '')}`);
}

/**
 * The first span of time in a line of a résumé: from and to, since, or one date. A month that does not say its year has that of the
 * other.
 *
 * @returns null where there is no date
 */
export function dateSpan(text: string): FoundSpan | null {
  const half = halfRange.exec(text);
  const full = range.exec(text);
  if (half?.groups && (!full || half.index < full.index)) {
    const to = monthOf(half.groups['to'] ?? '');
    const month = monthNumbers.get((half.groups['month'] ?? '').toLowerCase());
    return {
      from: month ? `${to.slice(0, 4)}-${String(month).padStart(2, '0')}` : to,
      ...{ to, rest: without(text, half) },
    };
  }
  if (full?.groups) {
    const { from = '', to = '' } = full.groups;
    const ends = new RegExp(`^${now}$`, 'i').test(to) ? ('now' as const) : monthOf(to);
    const begins = monthOf(from);
    // Whoever writes the later one first means the same.
    const turned = ends !== 'now' && ends < begins.slice(0, ends.length);
    return { from: turned ? ends : begins, to: turned ? begins : ends, rest: without(text, full) };
  }
  const open = since.exec(text);
  if (open?.groups) return { from: monthOf(open.groups['from'] ?? ''), to: 'now', rest: without(text, open) };
  const alone = single.exec(text);
  return alone?.groups
    ? { from: monthOf(alone.groups['from'] ?? ''), to: null, rest: without(text, alone) }
    : null;
}
