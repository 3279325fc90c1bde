import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Frame } from 'puppeteer-core';
import sharp from 'sharp';
import { openDemoStudio } from './support/demo-studio.ts';
import { fits, keepsWithin } from './support/fits.ts';

/** The draft as readers get it: their screens, their paper, by ear, in a list, in ten seconds. */
const { server, browser, studio, rooms, asStranger, close } = await openDemoStudio();
const { page } = studio;
afterAll(close);
const clock = 'for-the-harbour/tide-clock/';
const site = rooms.split('/').at(-1) ?? '';

/** The page inside a frame of the room, once it is there. */
async function framed(title: RegExp): Promise<Frame> {
  await page.waitForFunction(
    (source) =>
      [...document.querySelectorAll('iframe')].some(
        (one) =>
          new RegExp(source).test(one.title) &&
          // What it was sent to, and not what it showed before.
          one.contentDocument?.location.pathname.split('/')[4] === new URL(one.src).pathname.split('/')[4] &&
          one.contentDocument?.readyState === 'complete' &&
          one.contentDocument.documentElement.hasAttribute('data-theme'),
      ),
    {},
    title.source,
  );
  for (const frame of page.frames()) {
    const element = await frame.frameElement();
    if (element && title.test(await element.evaluate((one) => one.getAttribute('title') ?? ''))) return frame;
  }
  throw new Error(`No frame called ${title.source}.`);
}
const picked = (label: string) =>
  studio
    .named('combobox', label)
    .then((list) => list.evaluate((one) => (one as HTMLSelectElement).selectedOptions[0]?.textContent ?? ''));

beforeAll(async () => {
  await page.goto(`${rooms}/check`);
  await studio.press('link', 'See it as readers do');
  await studio.reads('What they get with your next publish');
});

describe('on screens', () => {
  test('the page stands on three of them, with what can be told of it there', async () => {
    await framed(/for a stranger, phone/);
    await framed(/for a stranger, desktop/);
    await studio.reads(/screens long · \d+ stops by keyboard/);
    expect(await studio.axe()).toEqual([]);
    // As many as the keyboard really stops at.
    const { width, height } = { width: 1280, height: 800 };
    const told = await page.evaluate(
      () =>
        [...document.querySelectorAll('figcaption')]
          .find(({ textContent }) => textContent?.startsWith('Desktop'))
          ?.textContent?.match(/(\d+) stops/)?.[1] ?? '',
    );
    const own = await browser.newPage();
    await own.setViewport({ width, height });
    await own.goto(`${server.origin}/studio/see/${site}/stranger~framed/`);
    await own.bringToFront();
    let stops = 0;
    for (;;) {
      await own.keyboard.press('Tab');
      const again = await own.evaluate(() => {
        const at = document.activeElement;
        if (!at || at === document.body || at.hasAttribute('data-stopped')) return true;
        at.setAttribute('data-stopped', '');
        return false;
      });
      if (again) break;
      stops++;
    }
    await own.close();
    await page.bringToFront();
    expect(Number(told)).toBe(stops);
  });

  test('a link that is followed on one of them takes the others along', async () => {
    const phone = await framed(/phone/);
    await phone.evaluate(
      (to) => [...document.links].find(({ pathname }) => pathname.endsWith(to))?.click(),
      clock,
    );
    await framed(/^Tide clock for a stranger, desktop/);
    expect(await picked('Page')).toBe('Tide clock');
    expect(page.url()).toContain('page=');
  });

  test('by night, without pictures and without scripts it is what the browser makes of it', async () => {
    const inkOf = async () =>
      (await framed(/desktop/)).evaluate(() =>
        getComputedStyle(document.querySelector('[data-theme]') ?? document.body).getPropertyValue('--paper'),
      );
    const arrived = async () =>
      (await framed(/desktop/)).evaluate(async () => {
        const pictures = [...document.images];
        for (const one of pictures) one.loading = 'eager';
        await Promise.all(pictures.map((one) => one.decode().catch(() => undefined)));
        return pictures.filter(({ naturalWidth }) => naturalWidth > 0).length;
      });
    await studio.press('button', 'Desktop');
    const day = await inkOf();
    expect(await arrived()).toBeGreaterThan(3);
    await studio.press('button', 'By night');
    await page.waitForFunction(() => document.querySelector('iframe')?.src.includes('~dark'));
    expect(await inkOf()).not.toBe(day);
    await studio.press('checkbox', 'Pictures arrive');
    await page.waitForFunction(() => document.querySelector('iframe')?.src.includes('~without-pictures'));
    expect(await arrived()).toBe(0);
    await studio.press('checkbox', 'Scripts run');
    await page.waitForFunction(() => document.querySelector('iframe')?.src.includes('~without-script'));
    // What is in a noscript element is a part of the page only where no script runs.
    const runs = await (
      await framed(/desktop/)
    ).evaluate(() => {
      const holder = document.createElement('div');
      holder.innerHTML = '<noscript><b>here</b></noscript>';
      return holder.querySelector('b') === null;
    });
    expect(runs).toBe(false);
    // All of it is in the address: a reload shows the same.
    await page.reload();
    await framed(/^Tide clock for a stranger, desktop/);
    expect(page.url()).toMatch(/light=dark.*pictures=none.*script=none/);
    for (const name of ['Pictures arrive', 'Scripts run']) await studio.press('checkbox', name);
    await studio.press('button', 'By day');
  });

  test('somebody who holds a pass is a reader too, and who gets nothing is told so in the frame', async () => {
    const options = await studio
      .named('combobox', 'Reader')
      .then((list) =>
        list.evaluate((one) => [...(one as HTMLSelectElement).options].map(({ text }) => text)),
      );
    const pass = options.find((name) => name.startsWith('Pass: '));
    expect(pass).toBeDefined();
    await studio.take('Reader', pass ?? '');
    await page.waitForFunction(() => /\/pass-[^/]+~/.test(document.querySelector('iframe')?.src ?? ''));
    await studio.take('Reader', 'A stranger');
    await studio.take('Page', 'Sailcloth satchel');
    await page.waitForFunction(() =>
      document
        .querySelector('iframe')
        ?.contentDocument?.body?.textContent?.includes('This reader gets nothing of this page'),
    );
    await studio.take('Page', 'Tide clock');
  });
});

describe('read aloud', () => {
  test('headings, links, buttons and pictures are those of the browser’s own tree for screen readers, in its order', async () => {
    await studio.press('button', 'Read aloud');
    await studio.reads('Round plywood tide clock');
    expect(await studio.axe()).toEqual([]);
    const said = await page.$$eval('ol button', (lines) =>
      lines.map((one) => [...one.children].map(({ textContent }) => (textContent ?? '').trim())),
    );
    const ours = said
      .filter(([kind = '']) => /^(Heading|Link|Button|Picture|Clip)/.test(kind))
      .map(([kind = '', text = '']) => `${kind.split(' ')[0]?.toLowerCase()} ${text}`);
    const own = await browser.newPage();
    await own.setViewport({ width: 390, height: 760 });
    await own.goto(`${server.origin}/studio/see/${site}/stranger~framed/${clock}`);
    const session = await own.createCDPSession();
    const { nodes } = await session.send('Accessibility.getFullAXTree');
    const byId = new Map(nodes.map((node) => [node.nodeId, node]));
    const theirs: string[] = [];
    const names: Record<string, string> = {
      heading: 'heading',
      link: 'link',
      button: 'button',
      image: 'picture',
      DisclosureTriangle: 'button',
      Video: 'clip',
      Audio: 'clip',
    };
    const walk = (id: string) => {
      const node = byId.get(id);
      if (!node) return;
      const kind = node.ignored ? undefined : names[String(node.role?.value)];
      // A thing is said with all that is in it.
      if (kind)
        theirs.push(
          `${kind} ${String(node.name?.value ?? '')
            .replace(/\s+/g, ' ')
            .trim()}`,
        );
      else for (const child of node.childIds ?? []) walk(child);
    };
    walk(nodes[0]?.nodeId ?? '');
    await own.close();
    await page.bringToFront();
    expect(theirs.length).toBeGreaterThan(15);
    expect(ours).toEqual(theirs);
  });

  test('a line shows where it stands', async () => {
    await studio.press('button', /^Heading 1 Tide clock/);
    const marked = await (
      await framed(/phone/)
    ).evaluate(() =>
      [...document.querySelectorAll<HTMLElement>('[style*=outline]')].map(({ tagName }) => tagName),
    );
    expect(marked).toEqual(['H1']);
  });
});

test('on paper it takes about as many sheets as the browser prints', async () => {
  await studio.press('button', 'On paper');
  await studio.reads(/About (\d+) sheets of A4/);
  await framed(/as printed/);
  const own = await browser.newPage();
  await own.goto(`${server.origin}/studio/see/${site}/stranger~framed/${clock}`);
  await own.evaluate(async () => {
    for (const one of document.images) one.loading = 'eager';
    await Promise.all([...document.images].map((one) => one.decode().catch(() => undefined)));
  });
  const file = join(await mkdtemp(join(tmpdir(), 'printed-')), 'page.pdf');
  await writeFile(file, await own.pdf({ format: 'A4', preferCSSPageSize: true, printBackground: true }));
  await own.close();
  await page.bringToFront();
  const printed = Number(
    /Pages:\s+(\d+)/.exec(execFileSync('pdfinfo', [file], { encoding: 'utf8' }))?.[1] ?? 0,
  );
  await page.waitForFunction(
    (sheets) => {
      const told = Number(/About (\d+) sheets/.exec(document.body.innerText)?.[1] ?? 0);
      // A sheet is left open where a picture would be torn: a printer needs some more than it would fill.
      return told <= sheets && told >= sheets * 0.7;
    },
    {},
    printed,
  );
  expect(await studio.axe()).toEqual([]);
});

test('found and passed on: its words, and the picture that the release has', async () => {
  await studio.press('button', 'Found and passed on');
  await studio.reads('Tide clock, by Wren');
  await studio.reads(/\/wren-makes\/for-the-harbour\/tide-clock\//);
  await page.waitForFunction(
    () => (document.querySelector('main img') as HTMLImageElement)?.naturalWidth === 1200,
  );
  expect(await studio.axe()).toEqual([]);
  const shown = await page.$eval('main img', async (one) => {
    const bytes = await (await fetch((one as HTMLImageElement).src)).arrayBuffer();
    return [...new Uint8Array(bytes)];
  });
  const stranger = await asStranger(`/wren-makes/${clock}`);
  const { pathname } = new URL(
    await stranger.page.$eval('meta[property="og:image"]', (one) => one.getAttribute('content') ?? ''),
  );
  const released = [...new Uint8Array(await (await fetch(server.origin + pathname)).arrayBuffer())];
  await stranger.page.close();
  await page.bringToFront();
  const pixels = (bytes: number[]) =>
    sharp(Buffer.from(bytes)).resize(120, 63, { fit: 'fill' }).removeAlpha().raw().toBuffer();
  const [one, other] = [await pixels(shown), await pixels(released)];
  const apart = one.reduce((sum, value, at) => sum + Math.abs(value - (other[at] ?? 0)), 0) / one.length;
  expect(apart).toBeLessThan(4);
});

test('ten seconds: covered, shown by keyboard, covered again, and what stood there', async () => {
  await studio.press('button', 'Ten seconds');
  await studio.reads('The page lies under this');
  expect(await studio.axe()).toEqual([]);
  const play = await studio.named('button', 'Press play');
  await play.focus();
  await page.keyboard.press('Enter');
  await studio.reads('You have 10 seconds');
  await studio.reads('They are over');
  await studio.reads('Covered.');
  await studio.reads(/\d+ words\. In ten seconds about 39 are read/);
  await studio.reads('Names that stood there');
  expect(await studio.axe()).toEqual([]);
});

test('on a phone all of it fits', async () => {
  await page.setViewport({ width: 390, height: 844 });
  for (const sight of ['widths', 'paper', 'aloud', 'passed-on', 'ten-seconds']) {
    await page.goto(`${rooms}/check/reading?sight=${sight}`);
    await studio.reads('What they get with your next publish');
    if (sight !== 'passed-on') await framed(/./);
    await fits(studio);
    await keepsWithin(studio);
    expect([sight, await studio.axe()]).toEqual([sight, []]);
  }
  await page.setViewport({ width: 1280, height: 800 });
});
