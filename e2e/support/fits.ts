import { expect } from '@jest/globals';
import type { Driver } from './studio-driver.ts';

/** Nothing on the page reaches beyond its width. */
export async function fits({ page }: Driver): Promise<void> {
  const beyond = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(beyond).toBe(0);
}
