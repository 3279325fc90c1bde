import { changePage, draftOf } from './change-draft.ts';
import type { Driver } from './studio-driver.ts';

/** Makes a project of so many parts, every third a gallery of four pictures, and opens it. */
export async function openLongPage(studio: Driver, rooms: string, parts: number): Promise<void> {
  await studio.page.goto(`${rooms}/projects`);
  await studio.press('button', 'New project');
  await studio.reads('Case facts');
  const page = studio.page.url().split('/').at(-1) ?? '';
  const site = rooms.split('/').at(-1) ?? '';
  const { materials } = await draftOf(studio.page, site);
  const pictures = materials.filter(({ kind }) => kind === 'picture').map(({ id }) => id);
  const all = Array.from({ length: parts }, (_, at) => {
    const base = { id: `long-part-${at}`, height: 'public' };
    if (at % 3 === 2)
      return {
        ...base,
        kind: 'gallery',
        pictures: [0, 1, 2, 3].map((n) => pictures[(at + n) % pictures.length]),
      };
    const text = `Part ${at}. ${'Some words about how it was made and why. '.repeat(12)}`;
    return {
      ...base,
      kind: 'words',
      text: { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text }] }] },
    };
  });
  await changePage(studio.page, site, page, { title: `${parts} parts`, parts: all });
  await studio.page.reload();
  await studio.reads('Part 0.');
}

/**
 * Types into the words that are open, a key each 60 ms, and times each from the key to the paint that shows it: Event Timing
 * (W3C), in steps of 8 ms; what takes less than 16 ms is not told and counts as 16.
 *
 * @param settled waits for what typing leads to
 * @returns times in ms, the shortest first
 */
export async function keyTimes(
  studio: Driver,
  typed: string,
  settled = () => studio.saved(),
): Promise<number[]> {
  await studio.page.evaluate(() => {
    const times: number[] = [];
    (window as unknown as { keyTimes: number[] }).keyTimes = times;
    new PerformanceObserver((list) => {
      for (const one of list.getEntries()) if (one.name === 'keydown') times.push(one.duration);
    }).observe({ type: 'event', durationThreshold: 16 } as PerformanceObserverInit);
  });
  await studio.page.keyboard.type(typed, { delay: 60 });
  await settled();
  const slow = await studio.page.evaluate(() => (window as unknown as { keyTimes: number[] }).keyTimes);
  const fast = Math.max(0, typed.length - slow.length);
  return [...Array.from({ length: fast }, () => 16), ...slow].sort((a, b) => a - b);
}

/** The time that this share of all keys took at most. */
export const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? Number.NaN;
