import type { Id } from '../id.ts';

/** A moment as it lies on the line: the days that its date may mean, counted since 1970, both included. */
export interface LineItem {
  id: Id;
  first: number;
  last: number;
}

/** In time: by the first day, then the last, then the id, so that the same moments always lie the same way. */
export const inTime = (a: LineItem, b: LineItem): number =>
  a.first - b.first || a.last - b.last || (a.id < b.id ? -1 : 1);
