import { type Checklist, type ChecklistLine, toldLines } from './checklist.ts';

/** How often a rule has something to say now; `unknown` while it is being looked at, null where there is no such rule. */
export type LeftOf = (rule: string) => number | 'unknown' | null;

/** How a line stands. */
export interface LineState {
  done: boolean;
  /** A rule ticks it: its maker cannot, but for mending what it says. */
  byRule: boolean;
  left: number | 'unknown';
}

/** @param leftOf what rules have to say on the pages that readers get */
export function lineState({ rule, done }: Pick<ChecklistLine, 'rule' | 'done'>, leftOf: LeftOf): LineState {
  const left = rule === null ? null : leftOf(rule);
  return left === null ? { done, byRule: false, left: 0 } : { done: left === 0, byRule: true, left };
}

export interface Progress {
  essentials: { done: number; of: number };
  extras: { done: number; of: number };
}

/** How far a list is. */
export function progressOf(list: Checklist, leftOf: LeftOf): Progress {
  const count = (essential: boolean) => {
    const all = toldLines(list).filter((one) => one.essential === essential);
    return { done: all.filter((one) => lineState(one, leftOf).done).length, of: all.length };
  };
  return { essentials: count(true), extras: count(false) };
}
