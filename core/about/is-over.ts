import { shownOn, type Page } from '../pages/page.ts';
import type { Part } from '../parts/parts.ts';

/**
 * Whether the last day that its maker is free has gone by.
 *
 * @param today as ISO 8601 writes a day
 */
export const isOver = (part: Part, today: string): boolean =>
  part.kind === 'availability' && part.to !== null && part.to < today;

/** The parts of a page with what is over taken down to its maker alone; null where nothing is. */
export function takenDown(page: Page, today: string): Part[] | null {
  const { parts } = shownOn(page);
  const over = (part: Part) => part.height !== 'private' && isOver(part, today);
  if (!parts.some(over)) return null;
  return parts.map((part) => (over(part) ? { ...part, height: 'private' } : part));
}
