import { type Checklist, type ChecklistLine, toldLines } from './checklist.ts';

/** How a line stands: ticked, still open, or open because a rule has so much to say. */
export interface LineState {
  done: boolean;
  /** A rule ticks it: its maker cannot, but for mending what it says. */
  byRule: boolean;
  /** How often its rule has something to say now. */
  left: number;
}

/**
 * @param leftOf how often a rule has something to say on the pages that readers get; null where there is no such rule, or
 * nothing is known yet
 */
export function lineState(
  { rule, done }: Pick<ChecklistLine, 'rule' | 'done'>,
  leftOf: (rule: string) => number | null,
): LineState {
  const left = rule === null ? null : leftOf(rule);
  return left === null ? { done, byRule: false, left: 0 } : { done: left === 0, byRule: true, left };
}

export interface Progress {
  essentials: { done: number; of: number };
  extras: { done: number; of: number };
}

/** How far a list is. */
export function progressOf(list: Checklist, leftOf: (rule: string) => number | null): Progress {
  const count = (essential: boolean) => {
    const all = toldLines(list).filter((one) => one.essential === essential);
    return { done: all.filter((one) => lineState(one, leftOf).done).length, of: all.length };
  };
  return { essentials: count(true), extras: count(false) };
}
