import { expect } from '@jest/globals';
import type { Driver } from './studio-driver.ts';

/** Nothing on the page reaches beyond its width. */
export async function fits({ page }: Driver): Promise<void> {
  const beyond = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(beyond).toBe(0);
}

/** No words of a room reach out of what holds them, over what stands beside; what is cut or scrolled does not. */
export async function keepsWithin({ page }: Driver): Promise<void> {
  const out = await page.$eval('main', (main) => {
    const found: string[] = [];
    const walker = document.createTreeWalker(main, NodeFilter.SHOW_TEXT);
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const words = document.createRange();
      words.selectNodeContents(node);
      const { right, width } = words.getBoundingClientRect();
      let holds = node.parentElement;
      while (holds && holds !== main && getComputedStyle(holds).overflowX === 'visible') {
        if (
          width > 1 &&
          holds.matches('li, section, aside, h2, td') &&
          right > holds.getBoundingClientRect().right + 2
        )
          found.push(`${holds.tagName}: ${(node.textContent ?? '').slice(0, 60)}`);
        holds = holds.parentElement;
      }
    }
    return found;
  });
  expect(out).toEqual([]);
}
