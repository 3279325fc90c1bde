import axe, { type AxeResults, type RunOptions } from 'axe-core';
import { join } from 'node:path';
import type { CDPSession, ElementHandle, Page } from 'puppeteer-core';

export const demoPictures = join(import.meta.dirname, '../../demo/pictures');

/** How long anything is waited for, in ms: long enough for a machine that does five other things. */
const patience = 120_000;

/**
 * Puppeteer asks a page at every frame it draws whether it is there yet. To read all its words takes longer than that, so
 * that a page that waits for its server would keep the server from answering.
 */
function askLessOften(page: Page): void {
  const wait = page.waitForFunction.bind(page);
  page.waitForFunction = (what, options, ...args) => wait(what, { polling: 100, ...options }, ...args);
}

/** Speaks to a page the way a person would: by what is written on it. */
export class Driver {
  /** What the browser itself asked, such as whether to leave a page; each was answered with yes. */
  readonly asked: string[] = [];
  #browser: CDPSession | null = null;

  constructor(readonly page: Page) {
    page.setDefaultTimeout(patience);
    askLessOften(page);
    page.on('dialog', (dialog) => {
      this.asked.push(`${dialog.type()} on ${page.url()}`);
      void dialog.accept();
    });
  }

  /**
   * An element by its role and accessible name, as assistive technology would find it. The browser is asked once for
   * all names of that role: a page may have hundreds of buttons, and asking each takes longer than the test.
   *
   * @throws Error when there is none within two minutes
   */
  async named(role: string, name: string | RegExp): Promise<ElementHandle> {
    const fits = (label: string) => (typeof name === 'string' ? label === name : name.test(label));
    const end = Date.now() + patience;
    for (let round = 0; ; round++) {
      const found = await this.#heard(role, fits);
      if (found) return found;
      // What stands on it is its name to somebody who sees, also where assistive technology is told more.
      if (round % 5 === 1)
        for (const handle of await this.page.$$(`::-p-aria([role="${role}"])`))
          if (fits(await nameToBeSeen(handle))) return handle;
      if (Date.now() > end)
        throw new Error(
          `No ${role} called “${typeof name === 'string' ? name : name.source}” on ${this.page.url()}.`,
        );
      await new Promise((resolve) => setTimeout(resolve, 120));
    }
  }

  /** The first element of a role whose computed name fits; null where there is none, or the page is just going. */
  async #heard(role: string, fits: (label: string) => boolean): Promise<ElementHandle | null> {
    try {
      this.#browser ??= await this.page.createCDPSession();
      const browser = this.#browser;
      // Not by the browser's own tree of nodes: once that is asked for, every change of the page is told from then on.
      const { result } = await browser.send('Runtime.evaluate', { expression: 'document' });
      if (result.objectId === undefined) return null;
      const { nodes } = await browser.send('Accessibility.queryAXTree', { objectId: result.objectId, role });
      const node = nodes.find((one) => !one.ignored && fits(String(one.name?.value ?? '').trim()));
      if (node?.backendDOMNodeId === undefined) return null;
      const { object } = await browser.send('DOM.resolveNode', { backendNodeId: node.backendDOMNodeId });
      if (object.objectId === undefined) return null;
      // From the browser's own account of it to one that can be clicked.
      await browser.send('Runtime.callFunctionOn', {
        objectId: object.objectId,
        functionDeclaration: 'function () { globalThis.heard = this }',
      });
      const handle = await this.page.evaluateHandle('globalThis.heard');
      return handle.asElement() as ElementHandle | null;
    } catch {
      return null;
    }
  }

  async press(role: string, name: string | RegExp): Promise<void> {
    for (let tries = 1; ; tries++) {
      const handle = await this.named(role, name);
      try {
        // What cannot be pressed yet is waited for, as a person does.
        await this.page.waitForFunction(
          (element) => !element.isConnected || !element.matches(':disabled'),
          { timeout: patience },
          handle,
        );
        await handle.evaluate((element) => {
          element.scrollIntoView({ block: 'center' });
          delete document.documentElement.dataset['missed'];
          // Both, for the page may move between the two, and then nothing is pressed; what opens when the first comes has opened.
          for (const event of ['pointerdown', 'pointerup'] as const)
            window.addEventListener(
              event,
              ({ type, target }) => {
                const hit =
                  target instanceof Element &&
                  (element.contains(target) || target.closest('a, button, input, label, select, [role]'));
                const opened = !element.isConnected || element.getAttribute('aria-expanded') === 'true';
                if (!hit && !(type === 'pointerup' && opened))
                  document.documentElement.dataset['missed'] = '';
              },
              { once: true, capture: true },
            );
        });
        await handle.click();
        const missed = await this.page
          .evaluate(() => 'missed' in document.documentElement.dataset)
          .catch(() => false);
        if (!missed) return;
        // It moved away while the pointer came, or a dialog was still going: a person would press again.
        if (tries >= 25) throw new Error(`The ${role} called “${String(name)}” was never hit.`);
        await new Promise((resolve) => setTimeout(resolve, 100));
      } catch (error) {
        // Drawn anew, or not drawn yet, between finding and pressing it; a person would press again.
        if (tries >= 25 || !/detached|not clickable/.test(String(error))) throw error;
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
    }
  }

  /** Drags one thing onto another by mouse, and lets go once the other says that it would take it. */
  async drag(thing: ElementHandle, onto: ElementHandle): Promise<void> {
    const middle = async (handle: ElementHandle) => {
      const box = await handle.boundingBox();
      if (!box) throw new Error('What is to be dragged, or its target, is not in sight.');
      return [box.x + box.width / 2, box.y + box.height / 2] as const;
    };
    const { mouse } = this.page;
    const [x, y] = await middle(thing);
    await mouse.move(x, y);
    await mouse.down();
    await mouse.move(x, y + 20, { steps: 4 });
    // The page may scroll while something is dragged near its edge, so the target is looked for again.
    for (let tries = 0; tries < 40; tries++) {
      const [toX, toY] = await middle(onto);
      await mouse.move(toX + (tries % 2), toY, { steps: tries === 0 ? 8 : 1 });
      await new Promise((resolve) => setTimeout(resolve, 80));
      if (await onto.evaluate((element) => element.hasAttribute('data-over'))) break;
    }
    await mouse.up();
  }

  /**
   * Drags files from the desktop over something and lets go of them there, as the browser itself hands them on.
   *
   * @param at where on it, as shares of its width and height
   * @returns the place on the page that said it would take them, as it is named in the page; null for none
   */
  async dropFiles(
    files: readonly string[],
    onto: ElementHandle,
    at: { x: number; y: number } = { x: 0.5, y: 0.5 },
  ): Promise<string | null> {
    await onto.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    const box = await onto.boundingBox();
    if (!box) throw new Error('What the files are to be dropped on is not in sight.');
    const client = await this.page.createCDPSession();
    const data = { items: [], files: [...files], dragOperationsMask: 1 };
    const point = { x: box.x + box.width * at.x, y: box.y + box.height * at.y, data };
    await client.send('Input.dispatchDragEvent', { type: 'dragEnter', ...point });
    await client.send('Input.dispatchDragEvent', { type: 'dragOver', ...point });
    // Nothing may take them, so there is no state to wait for: two frames are drawn after the browser has said it.
    await this.drawn();
    const over = await this.page.evaluate(
      () => document.querySelector<HTMLElement>('[data-over]')?.dataset['drop'] ?? null,
    );
    await client.send('Input.dispatchDragEvent', { type: 'drop', ...point });
    await client.detach();
    return over;
  }

  /** Unfolds what is folded; pressed again where the page moved away under the first press. */
  async unfold(details: string): Promise<void> {
    const summary = await this.page.waitForSelector(`${details} > summary`);
    for (let tries = 0; tries < 25; tries++) {
      if (await this.page.$(`${details}[open]`)) return;
      await summary?.click();
      await this.drawn();
    }
    throw new Error(`${details} did not unfold.`);
  }

  async fill(label: string | RegExp, text: string, role = 'textbox'): Promise<void> {
    for (let tries = 1; ; tries++) {
      const field = await this.named(role, label);
      try {
        await field.evaluate((element) => element.scrollIntoView({ block: 'center' }));
        await field.click({ count: 3 });
        break;
      } catch (error) {
        // Drawn anew between finding and pressing it; a person would press again.
        if (tries >= 25 || !/detached|not clickable/.test(String(error))) throw error;
        await new Promise((resolve) => setTimeout(resolve, 100));
      }
    }
    await this.page.keyboard.type(text);
  }

  /** Takes one of the choices of a list, by its name. */
  async take(label: string | RegExp, option: string): Promise<void> {
    const list = await this.named('combobox', label);
    const value = await list.evaluate(
      (select, name) =>
        [...(select as HTMLSelectElement).options].find((one) => one.textContent === name)?.value,
      option,
    );
    if (value === undefined) throw new Error(`The list “${label}” has no “${option}”.`);
    await (list as ElementHandle<HTMLSelectElement>).select(value);
  }

  /** Waits until the page says something. */
  async reads(text: string | RegExp): Promise<void> {
    const source = typeof text === 'string' ? text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&') : text.source;
    await this.page
      .waitForFunction(
        (pattern) => new RegExp(pattern).test(document.body.innerText),
        { timeout: patience },
        source,
      )
      .catch(async () => {
        const said = await this.page.evaluate(() => document.body.innerText);
        throw new Error(`The page never said “${source}”. It says:\n${said.slice(0, 1500)}`);
      });
  }

  /** Waits until assistive technology is told something while a thing is being moved. */
  async hears(text: string): Promise<void> {
    await this.page.waitForFunction(
      (said) =>
        [...document.querySelectorAll('[id^=DndLiveRegion]')].some(({ textContent }) =>
          textContent?.includes(said),
        ),
      { timeout: patience },
      text,
    );
    // What carries it listens for the next key a moment after it has said so.
    await this.drawn();
  }

  /** Waits until what happened last has been drawn; for what must not happen there is no state to wait for. */
  async drawn(): Promise<void> {
    await this.page.evaluate(
      () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
    );
  }

  async saved(): Promise<void> {
    await this.page.waitForSelector('[data-saved]', { timeout: patience });
  }

  /** Pastes what was copied somewhere into what has the focus. */
  async paste(html: string, text = ''): Promise<void> {
    await this.page.evaluate(
      (rich, plain) => {
        const clipboardData = new DataTransfer();
        clipboardData.setData('text/html', rich);
        clipboardData.setData('text/plain', plain);
        (document.activeElement ?? document.body).dispatchEvent(
          new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
        );
      },
      html,
      text,
    );
  }

  /** Gives files to the first file input of the page, as the picker would. */
  async choose(files: readonly string[]): Promise<void> {
    const input = await this.page.waitForSelector('input[type=file]');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(...files);
  }

  /** Violations of WCAG 2.2 A and AA and of axe's best practices on the page as it is now, in words. */
  async axe(): Promise<string[]> {
    const first = await this.#axeNow();
    if (first.length === 0) return first;
    // A notice that came or went while it was looked at: what is wrong with the screen is wrong a second later too.
    await new Promise((resolve) => setTimeout(resolve, 1000));
    return this.#axeNow();
  }

  async #axeNow(): Promise<string[]> {
    // What is just fading in or out has the colours of neither: nobody reads it then.
    await this.page.evaluate(async () => {
      await Promise.all(
        document
          .getAnimations()
          .filter(({ playState, effect, timeline }) => {
            // One that is driven by scrolling ends with no time.
            if (timeline !== document.timeline) return false;
            return playState === 'running' && effect?.getComputedTiming().iterations !== Infinity;
          })
          .map(({ finished }) => finished.catch(() => undefined)),
      );
    });
    if (!(await this.page.evaluate(() => 'axe' in window))) await this.page.evaluate(axe.source);
    return this.page.evaluate(async () => {
      const { axe: engine } = window as unknown as {
        axe: { run(where: Document, how: RunOptions): Promise<AxeResults> };
      };
      const { violations } = await engine.run(document, {
        runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
        // Where all the rest that it found in order stands is half of its work, and nobody asks.
        resultTypes: ['violations'],
        elementRef: false,
        preload: false,
      });
      return violations.map(
        (one) =>
          `${one.id}: ${one.nodes
            .map((node) => `${node.target.join(' ')} ${node.failureSummary ?? ''}`)
            .slice(0, 3)
            .join(' | ')}`,
      );
    });
  }
}

async function nameToBeSeen(handle: ElementHandle): Promise<string> {
  return handle.evaluate((element) => {
    const label = element.getAttribute('aria-label');
    if (label) return label;
    const by = element.getAttribute('aria-labelledby');
    if (by)
      return by
        .split(/\s+/)
        .map((id) => document.getElementById(id)?.textContent ?? '')
        .join(' ')
        .trim();
    const labels = (element as HTMLInputElement).labels;
    if (labels && labels.length > 0)
      return [...labels]
        .map((one) => one.textContent ?? '')
        .join(' ')
        .trim();
    return (element.textContent ?? '').replace(/\s+/g, ' ').trim();
  });
}
