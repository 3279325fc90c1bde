import { afterAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { openDemoStudio } from './support/demo-studio.ts';
import { demoPictures } from './support/studio-driver.ts';

/** Fixes, documents, sound, clips and the contact sheet, through the real rooms with real files. */
const { server, studio, rooms, publish, asStranger, close } = await openDemoStudio();
afterAll(close);

const setNumber = async (label: string, value: number) => {
  const field = await studio.named('spinbutton', new RegExp(`^${label}`));
  await field.click({ count: 3 });
  await studio.page.keyboard.type(String(value));
};

describe('gathering', () => {
  test('a picture is turned, cropped with the mouse and made brighter; undo takes it back, the page shows it', async () => {
    await studio.page.goto(`${rooms}/gather`);
    await studio.press('button', /^The brass hand: look at it/);
    await studio.press('button', 'Fix it');
    await studio.press('button', 'Turn right');
    await studio.saved();
    const stage = await studio.page.waitForSelector('.region-stage');
    await studio.page.waitForFunction(() => {
      const img = document.querySelector<HTMLImageElement>('.region-stage img');
      return img?.complete && img.naturalHeight > img.naturalWidth;
    });
    const box = await stage?.boundingBox();
    if (!box) throw new Error('There is no stage.');
    expect(box.height).toBeGreaterThan(box.width);
    // The lower right corner is pulled to the middle.
    await studio.page.mouse.move(box.x + box.width - 4, box.y + box.height - 4);
    await studio.page.mouse.down();
    await studio.page.mouse.move(box.x + box.width * 0.6, box.y + box.height * 0.6, { steps: 6 });
    await studio.page.mouse.up();
    const width = await studio.named('spinbutton', /^Width/);
    const percent = Number(await width.evaluate((input) => (input as HTMLInputElement).value));
    expect(percent).toBeGreaterThan(55);
    expect(percent).toBeLessThan(66);
    await setNumber('Height', 40);
    await studio.press('tab', 'Light');
    const slider = await studio.named('slider', 'Brightness');
    await slider.focus();
    for (let step = 0; step < 5; step++) await studio.page.keyboard.press('ArrowRight');
    await studio.reads('+5 %');
    expect(await studio.axe()).toEqual([]);
    await studio.saved();
    await studio.page.keyboard.press('Escape');

    await publish();
    const reader = await asStranger('/wren-makes/for-the-harbour/tide-clock/');
    const [w = 0, h = 0] = await reader.page.$$eval('.gallery img', (all) => {
      const last = all.at(-1) as HTMLImageElement;
      return [Number(last.getAttribute('width')), Number(last.getAttribute('height'))];
    });
    // 1600 × 1200 turned is 1200 × 1600; of that about 60 by 40 of 100 is kept.
    expect(w / h).toBeGreaterThan(0.9);
    expect(w / h).toBeLessThan(1.4);
  });

  test('a number in a PDF is blacked out by keyboard, and readers get the page without it', async () => {
    await studio.page.goto(`${rooms}/gather`);
    await studio.press('button', /^Workshop test sheet: look at it/);
    await studio.press('button', 'Black out');
    await studio.press('button', 'Add a region');
    for (const [label, value] of [
      ['From left', 36],
      ['From top', 18],
      ['Width', 50],
      ['Height', 5],
    ] as const)
      await setNumber(label, value);
    await studio.press('button', 'Next page');
    await studio.reads('Page 2 of 2');
    expect(await studio.axe()).toEqual([]);
    // The second page is turned on its side; the first stays as it is.
    await studio.press('tab', 'Turn');
    await studio.press('button', 'Turn right');
    await studio.page.waitForFunction(() => {
      const page = document.querySelector<HTMLImageElement>('[role=tabpanel][data-state=active] img');
      return page !== null && page.complete && page.naturalWidth > page.naturalHeight;
    });
    expect(await studio.axe()).toEqual([]);
    await studio.saved();
    await studio.page.keyboard.press('Escape');
    await studio.press('checkbox', /^Choose Workshop test sheet/);
    await studio.press('button', 'Start a project');
    await studio.reads('Case facts');
    await studio.fill('Title', 'Bike trailer');
    await publish();
    const reader = await asStranger('/wren-makes/bike-trailer/');
    await reader.reads('Workshop test sheet');
    const html = await reader.page.content();
    expect(html).toContain('Sandbags');
    const first = /Project: cargo bike trailer[\s\S]*?reserve\./.exec(html)?.[0] ?? '';
    expect(first).not.toMatch(/555-0142|S-2047-1183/);
    expect(await reader.axe()).toEqual([]);
    // Read back from the picture itself: the region is black all over.
    const black = await reader.page.$eval('.pages img', async (found) => {
      const img = found as HTMLImageElement;
      await img.decode();
      const canvas = Object.assign(document.createElement('canvas'), {
        width: img.naturalWidth,
        height: img.naturalHeight,
      });
      const context = canvas.getContext('2d');
      context?.drawImage(img, 0, 0);
      const [w, h] = [img.naturalWidth, img.naturalHeight];
      const data = context?.getImageData(w * 0.37, h * 0.19, w * 0.4, h * 0.03).data ?? [];
      let most = 0;
      for (let at = 0; at < data.length; at += 4) most = Math.max(most, data[at] ?? 0);
      return most;
    });
    expect(black).toBeLessThan(24);
    const upright = await reader.page.$$eval('.pages img', (pages) =>
      pages.map((page) => Number(page.getAttribute('height')) > Number(page.getAttribute('width'))),
    );
    expect(upright).toEqual([true, false]);
    // Large, a reader turns it for a look.
    const pages = await reader.page.$$('.pages a');
    await pages[1]?.click();
    await reader.page.waitForSelector('.pswp--open .pswp__img:not(.pswp__img--placeholder)');
    await reader.press('button', 'Turn by a quarter');
    const turned = await reader.page.$eval(
      '.pswp__item:not([aria-hidden="true"]) .pswp__img:not(.pswp__img--placeholder)',
      (page) => ({
        rotate: (page as HTMLElement).style.rotate,
        box: page.getBoundingClientRect().toJSON() as {
          top: number;
          bottom: number;
          width: number;
          height: number;
        },
        tall: innerHeight,
      }),
    );
    expect(turned.rotate).toBe('90deg');
    expect(turned.box.height).toBeGreaterThan(turned.box.width);
    expect(turned.box.top).toBeGreaterThanOrEqual(-1);
    expect(turned.box.bottom).toBeLessThanOrEqual(turned.tall + 1);
  });

  test('documents, slides, sound and a clip are taken in, each with what it is', async () => {
    const markdown = join(server.folder, 'Talk.md');
    await writeFile(markdown, '# A talk\n\nFirst **point**.\n\n# Second\n\n- a\n- b\n');
    const slides = join(server.folder, 'Talk.pptx');
    const odt = join(server.folder, 'Talk-notes.odt');
    execFileSync('pandoc', [markdown, '-o', slides]);
    execFileSync('pandoc', [markdown, '-o', odt]);
    await studio.page.goto(`${rooms}/gather`);
    await studio.reads('used');
    await studio.choose([slides, odt, markdown, join(demoPictures, 'tide-clock/narration.vtt')]);
    await studio.reads(/3 added, 1 not added/);
    await studio.reads('These are captions.');
    await studio.press('button', 'Put this list away');
    await studio.press('button', 'None');
    await studio.press('button', /^Talk notes: look at it/);
    await studio.unfold('.own-words');
    await studio.reads('First point.');
    await studio.press('button', 'Close the facts');
    await studio.press('button', /^Talk: look at it; PPTX/);
    await studio.reads('Shown by');
    expect(await studio.axe()).toEqual([]);
    await studio.press('button', 'Close the facts');

    await studio.press('button', /^Spoken introduction: look at it/);
    await studio.reads(/WebVTT with \d+ lines/);
    await studio.press('button', 'Close the facts');
    expect(await studio.page.$eval('meter', (meter) => (meter as HTMLMeterElement).value)).toBeGreaterThan(
      1e6,
    );
  });

  test('a Word document becomes words and pictures of the page, as one step that can be undone', async () => {
    await studio.page.goto(`${rooms}/projects`);
    await studio.press('link', 'Fold-flat bee hotel');
    await studio.reads('Case facts');
    const kinds = () =>
      studio.page.$$eval('.part', (found) => found.map((one) => one.getAttribute('data-kind')));
    const before = await kinds();
    await studio.press('button', /^Edit Document/);
    await studio.press('button', 'Make words of it');
    await studio.page.waitForFunction(
      (n) => document.querySelectorAll('.part').length === n,
      {},
      before.length + 2,
    );
    expect((await kinds()).slice(-4)).toEqual(['words', 'picture', 'words', 'link']);
    await studio.reads('Fewer 8 mm holes');
    expect(await studio.page.$$eval('.site .table td', (cells) => cells.length)).toBeGreaterThanOrEqual(12);
    // Words with a table can be written on.
    await studio.page.click('.words-editor td p');
    await studio.page.keyboard.type('X');
    await studio.saved();
    await studio.page.reload();
    await studio.reads('Fewer 8 mm holes');
    expect(await studio.page.$$eval('.site .table td', (cells) => cells.length)).toBeGreaterThanOrEqual(12);
    await studio.press('button', /^Undo/);
    await studio.press('button', /^Undo/);
    await studio.page.waitForFunction(
      (n) => document.querySelectorAll('.part').length === n,
      {},
      before.length,
    );
    expect(await kinds()).toEqual(before);
  });

  test('readers play the clip and the sound, with their words', async () => {
    const reader = await asStranger('/wren-makes/for-the-harbour/tide-clock/');
    const seconds = await reader.page.$eval('.sound audio', async (found) => {
      const audio = found as HTMLAudioElement;
      audio.muted = true;
      await audio.play();
      audio.pause();
      return audio.duration;
    });
    expect(Math.round(seconds)).toBe(20);
    const clip = await reader.page.$eval('.clip video', (found) => {
      const video = found as HTMLVideoElement;
      const still = video.parentElement?.querySelector('img');
      const covers = still?.getBoundingClientRect().toJSON() as DOMRect;
      const same = JSON.stringify(covers) === JSON.stringify(video.getBoundingClientRect());
      return [still?.loading, same, video.querySelector('track')?.src.endsWith('.vtt')];
    });
    expect(clip).toEqual(['lazy', true, true]);
    await reader.page.click('.sound summary');
    await reader.reads('What is said');
    expect(await reader.axe()).toEqual([]);
  });

  test('a moving picture stands still until it is played, and stops again', async () => {
    const frames = await Promise.all(
      ['#c02020', '#2020c0', '#20c020'].map((background) =>
        sharp({ create: { width: 240, height: 160, channels: 3, background } })
          .png()
          .toBuffer(),
      ),
    );
    const gif = join(server.folder, 'Spinning.gif');
    await sharp(frames, { join: { animated: true } })
      .gif({ delay: [200, 200, 200], loop: 0 })
      .toFile(gif);
    await studio.page.goto(`${rooms}/gather`);
    await studio.reads('used');
    await studio.choose([gif]);
    await studio.reads('1 added');
    await studio.reads(/moving, .*small/);
    await studio.press('button', 'Start a project');
    await studio.reads('Case facts');
    await studio.fill('Title', 'Spinning');
    // The opening shows a piece of a page's best picture; what is to be played hangs below.
    await studio.press('button', 'add something here');
    await studio.press('button', 'Picture');
    await studio.press('button', 'Choose a picture');
    await studio.press('button', 'Spinning');
    await publish();
    const reader = await asStranger('/wren-makes/spinning/');
    const img = () =>
      reader.page.$eval('figure.picture img', (found) => (found as HTMLImageElement).currentSrc);
    const still = await img();
    await reader.press('button', 'Play');
    await reader.reads('Stop');
    // Between the two files, the picture shows none for a moment.
    await reader.page.waitForFunction(
      (was) => {
        const now = document.querySelector<HTMLImageElement>('figure.picture img')?.currentSrc;
        return now && now !== was;
      },
      {},
      still,
    );
    const playing = await img();
    const bytes = Buffer.from(await (await fetch(playing)).arrayBuffer());
    expect((await sharp(bytes).metadata()).pages).toBe(3);
    await reader.press('button', 'Stop');
    await reader.reads('Play');
    await reader.page.waitForFunction(
      (was) => document.querySelector<HTMLImageElement>('figure.picture img')?.currentSrc === was,
      {},
      still,
    );
    expect(await reader.axe()).toEqual([]);
  });

  test('a contact sheet brackets look-alikes, proposes six with reasons, is adjusted by keyboard and put on the page', async () => {
    await studio.page.goto(`${rooms}/projects`);
    await studio.press('link', 'Tide clock');
    await studio.reads('Case facts');
    await studio.press('button', /^Edit Gallery/);
    await studio.press('link', 'Choose on a contact sheet');
    await studio.reads('3 look alike');
    await studio.reads('2 look alike');
    await studio.press('button', 'Use the proposed 6');
    // Its sharpest opens the page already.
    await studio.reads('like the opening');
    const order = () =>
      studio.page.$$eval('main section ol li .truncate', (lines) => lines.map((one) => one.textContent));
    const proposed = await order();
    expect(proposed).toHaveLength(6);
    expect(await studio.axe()).toEqual([]);
    // By keyboard: the first cell to the front, the next one chosen, and a step taken back.
    await studio.page.focus('.cell-picture[tabindex="0"]');
    await studio.page.keyboard.press('Home');
    await studio.page.keyboard.press('1');
    const moved = await order();
    expect([...moved].sort()).toEqual([...proposed].sort());
    expect(moved[0]).not.toBe(proposed[0]);
    await studio.page.keyboard.press('ArrowRight');
    await studio.page.keyboard.press('Space');
    expect(await order()).toHaveLength(7);
    await studio.press('button', 'Step back');
    expect(await order()).toEqual(moved);
    await studio.press('button', 'Put on the page');
    await studio.reads('Case facts');
    await studio.saved();
    // Back at that very gallery.
    await studio.page.waitForSelector('[aria-label="Pictures in the gallery"] > li');
    expect(
      await studio.page.$$eval('[aria-label="Pictures in the gallery"] > li', (lines) => lines.length),
    ).toBe(6);
    await studio.press('button', /^Undo/);
    await studio.reads('Undone: Gallery');
  });
});
