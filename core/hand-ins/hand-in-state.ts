import { instantInWords } from '../dates/local-time-in-words.ts';
import { passState } from '../passes/pass-state.ts';
import type { PassWindow } from '../passes/pass-window.ts';

/** What the link of a hand-in leads to, as its readers have it now. */
export interface HandInLink {
  /** Nothing leads there any more: a deleted pass or page. */
  gone: boolean;
  /** It was made anew since it was handed in: those who have the old one get nothing. */
  renewed: boolean;
  /** How many pages it opens now. */
  pages: number;
  /** Of a pass. */
  pass: (PassWindow & { on: boolean; timeZone: string }) | null;
  /** It is the pass of a class, made when that was joined. */
  ofClass?: boolean;
  /** Titles of pages that its readers find otherwise than when it was handed in. */
  changed: readonly string[];
}

interface HandInTimes {
  dueAt: Date | null;
  handedAt: Date | null;
}

/** Whether something is still to be done about a hand-in. */
export type HandInState = 'to-do' | 'late' | 'handed-in';

export const handInState = ({ dueAt, handedAt }: HandInTimes, now: Date): HandInState =>
  handedAt ? 'handed-in' : dueAt && dueAt < now ? 'late' : 'to-do';

/**
 * What is wrong with a hand-in, each in a sentence: before it is due that its link would not open then, and once it is handed in that
 * its readers do not find what was handed in. Empty where nothing is.
 */
export function handInWarnings(link: HandInLink, times: HandInTimes, now: Date): string[] {
  if (link.gone)
    return [
      link.ofClass
        ? 'The pass of this class is not there any more. Leave the class, and join it again by its link.'
        : 'Its link is not there any more. Choose another one.',
    ];
  const warnings: string[] = [];
  if (times.handedAt && link.renewed)
    warnings.push('The link that was handed in opens nothing any more: it was made anew since.');
  const { pass } = link;
  const at = times.dueAt && times.dueAt > now ? times.dueAt : now;
  if (pass) {
    const state = passState(pass, at);
    if (state === 'off') warnings.push('Its pass is switched off.');
    if (state === 'not-yet' && pass.opensAt)
      warnings.push(`Its pass opens only from ${instantInWords(pass.opensAt, pass.timeZone)}.`);
    if (state === 'over' && pass.closesAt)
      warnings.push(
        at > now
          ? `Its pass closes ${instantInWords(pass.closesAt, pass.timeZone)}, before it is due.`
          : `Its pass closed ${instantInWords(pass.closesAt, pass.timeZone)}.`,
      );
  }
  if (link.pages === 0) warnings.push('Its link opens nothing now.');
  if (times.handedAt && link.changed.length > 0) {
    const first = link.changed.slice(0, 3).join(', ');
    const more = link.changed.length - 3;
    warnings.push(`Changed since it was handed in: ${first}${more > 0 ? ` and ${more} more` : ''}.`);
  }
  return warnings;
}
