import { expect } from '@jest/globals';
import type { Driver } from './studio-driver.ts';

type Key = 'Tab' | 'Enter' | 'Escape' | 'ArrowUp' | 'ArrowDown' | 'Space' | 'Delete';

/** A keyboard and nothing else. */
export class Keys {
  constructor(readonly driver: Driver) {}

  press(key: Key, ...held: ('Alt' | 'Control' | 'Shift')[]): Promise<void> {
    return this.#holding(held, () => this.driver.page.keyboard.press(key));
  }

  /** One letter, with other keys held. */
  letter(letter: '/' | 'z' | 'k', ...held: ('Control' | 'Shift')[]): Promise<void> {
    return this.#holding(held, () => this.driver.page.keyboard.press(letter));
  }

  async #holding(held: readonly ('Alt' | 'Control' | 'Shift')[], run: () => Promise<void>): Promise<void> {
    const { keyboard } = this.driver.page;
    for (const one of held) await keyboard.down(one);
    await run();
    for (const one of held) await keyboard.up(one);
  }

  type(text: string): Promise<void> {
    return this.driver.page.keyboard.type(text);
  }

  /** What the focus is on, as it is named, and whether one can see that it is there. */
  focused(): Promise<{ name: string; visible: boolean }> {
    return this.driver.page.evaluate(() => {
      const at = document.activeElement as HTMLElement | null;
      if (!at || at === document.body) return { name: '', visible: true };
      const labels = [...((at as HTMLInputElement).labels ?? [])].map((label) => label.textContent ?? '');
      const name =
        at.getAttribute('aria-label') ?? (labels.length > 0 ? labels.join(' ') : (at.textContent ?? ''));
      const box = at.getBoundingClientRect();
      return { name: name.replace(/\s+/g, ' ').trim(), visible: box.width > 0 && box.height > 0 };
    });
  }

  /** Goes on with Tab until something of that name has the focus, which must be visible then. */
  async tabTo(name: string | RegExp, most = 160, ...held: 'Shift'[]): Promise<void> {
    const passed: string[] = [];
    for (let n = 0; n < most; n++) {
      await this.press('Tab', ...held);
      const now = await this.focused();
      if (typeof name === 'string' ? now.name === name : name.test(now.name)) {
        expect(now.visible).toBe(true);
        return;
      }
      passed.push(now.name.slice(0, 30));
    }
    throw new Error(`Tab never came to ${String(name)}. It came by: ${passed.join(' | ')}`);
  }

  /** Goes there and presses Enter. */
  async enter(name: string | RegExp): Promise<void> {
    await this.tabTo(name);
    await this.press('Enter');
  }
}
