import type { Id } from '../id.ts';
import { stemsIn } from '../words/stems.ts';
import type { Month } from '../pages/case-facts.ts';
import type { ContentEntry, ResumeContent } from './layout/resume-content.ts';
import type { Losses } from './layout/set-resume.ts';

/** Why something could stay out before others. */
export type LeaveOutReason = 'no-proof' | 'old' | 'repeats' | 'not-asked';

/** What a line is worth by itself, and what each reason to keep it adds. */
const worth = { line: 2, proof: 4, lately: 2, alone: 3, asked: 5, entry: 4 } as const;
/** So many years after it ended something counts as old (common practice). */
const oldAfterYears = 5;
/** Of the words of two lines so many are the same where one repeats the other. */
const sameShare = 0.5;

const wordsIn = (text: string): Set<string> => new Set(stemsIn(text));

const shared = (a: ReadonlySet<string>, b: ReadonlySet<string>): number => {
  const both = [...a].filter((word) => b.has(word)).length;
  const all = a.size + b.size - both;
  return all === 0 ? 0 : both / all;
};

export interface WeighedResume extends Losses {
  /** Why each line and entry could stay out before others. */
  reasons: ReadonlyMap<Id, LeaveOutReason[]>;
}

/**
 * What is lost where a line or an entry stays out: more where it is proved, was lately, says what no other line says, and speaks of
 * what is asked for.
 *
 * @param ends when each entry ended, by its id; `now` while it goes on, null where that is not known
 * @param wants what the version is asked for, in words
 */
export function lineLosses(
  content: ResumeContent,
  ends: ReadonlyMap<Id, Month | 'now' | null>,
  wants: string,
  now: Month,
): WeighedResume {
  const wanted = wordsIn(wants);
  const reasons = new Map<Id, LeaveOutReason[]>();
  const lines = new Map<Id, number | null>();
  const entries = new Map<Id, number | null>();
  const said: Set<string>[] = [];
  const speaksOf = (words: ReadonlySet<string>) => [...words].some((word) => wanted.has(word));
  const isOld = ({ id }: ContentEntry) => {
    const end = ends.get(id) ?? 'now';
    return end !== 'now' && Number(now.slice(0, 4)) - Number(end.slice(0, 4)) >= oldAfterYears;
  };
  for (const { entries: all } of content.sections)
    for (const entry of all) {
      const old = isOld(entry);
      const head = wordsIn(`${entry.title} ${entry.place} ${entry.level}`);
      const entryAsked = speaksOf(head);
      let loss: number = worth.entry + (old ? 0 : worth.lately);
      const why: LeaveOutReason[] = old ? ['old'] : [];
      const isProved =
        entry.proofs.length > 0 || entry.link !== null || entry.lines.some(({ proof }) => proof);
      if (isProved) loss += worth.proof;
      else why.unshift('no-proof');
      let asked = entryAsked;
      for (const line of entry.lines) {
        const words = wordsIn(line.text);
        const repeats = words.size > 0 && said.some((before) => shared(words, before) >= sameShare);
        said.push(words);
        const lineAsked = entryAsked || speaksOf(words);
        asked ||= lineAsked;
        const ofLine: LeaveOutReason[] = [];
        if (!line.proof) ofLine.push('no-proof');
        if (old) ofLine.push('old');
        if (repeats) ofLine.push('repeats');
        if (wanted.size > 0 && !lineAsked) ofLine.push('not-asked');
        const own =
          worth.line +
          (line.proof ? worth.proof : 0) +
          (old ? 0 : worth.lately) +
          (repeats ? 0 : worth.alone) +
          (wanted.size > 0 && lineAsked ? worth.asked : 0);
        lines.set(line.id, own);
        reasons.set(line.id, ofLine);
        loss += own;
      }
      if (wanted.size > 0) {
        if (asked) loss += worth.asked;
        else why.push('not-asked');
      }
      entries.set(entry.id, loss);
      reasons.set(entry.id, why);
    }
  return { lines, entries, reasons };
}
