import { openDemoStudio } from '#e2e/support/demo-studio.ts';
import { keyTimes, openLongPage, quantile } from '#e2e/support/typing.ts';
import type { Row } from './table.ts';

const typed = 'Every letter of this sentence is a key that was pressed and painted. ';

/** How long a key takes to be seen on a page of 60 parts and 80 pictures, beside a page of one part. */
export async function benchTyping(): Promise<Row> {
  const { studio, rooms, close } = await openDemoStudio();
  try {
    const on = async (parts: number) => {
      await openLongPage(studio, rooms, parts);
      await studio.press('button', parts === 1 ? /^Edit Words, part 1/ : /^Edit Words, part 32 of/);
      await studio.page.waitForSelector('.words-editor:focus');
      return keyTimes(studio, typed);
    };
    const short = await on(1);
    const long = await on(60);
    const words = (times: readonly number[]) =>
      `${quantile(times, 0.5)} ms, 95th of a hundred ${quantile(times, 0.95)} ms, longest ${times.at(-1)} ms`;
    return {
      what: 'from a key to its letter on a page of 60 parts and 80 pictures',
      ours: words(long),
      against: 'a page of one part',
      other: words(short),
      ratio: quantile(long, 0.95) / quantile(short, 0.95),
      wanted: 'under 50 ms',
      reached: quantile(long, 0.95) < 50,
    };
  } finally {
    await close();
  }
}
