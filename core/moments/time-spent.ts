import type { Id } from '../id.ts';

interface Spent {
  page: Id;
  phase: Id | null;
  minutes: number | null;
}

/** What some moments took, in minutes: all of them, and by something that they have in common, in the order in which it first comes. */
export interface TimeSpent {
  all: number;
  byPage: Map<Id, number>;
  byPhase: Map<Id | null, number>;
}

/** Adds up the time spent on moments; those of which it is not said count as nothing. */
export function timeSpent(moments: readonly Spent[]): TimeSpent {
  const spent: TimeSpent = { all: 0, byPage: new Map(), byPhase: new Map() };
  for (const { page, phase, minutes } of moments) {
    if (minutes === null) continue;
    spent.all += minutes;
    spent.byPage.set(page, (spent.byPage.get(page) ?? 0) + minutes);
    spent.byPhase.set(phase, (spent.byPhase.get(phase) ?? 0) + minutes);
  }
  return spent;
}
