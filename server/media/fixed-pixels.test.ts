import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import sharp from 'sharp';
import { fixedPixels, lightLine } from './fixed-pixels.ts';

const run = promisify(execFile);
const nature = '/usr/share/backgrounds/mate/nature';
let folder = '';
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-fixes-'));
});
afterAll(() => rm(folder, { recursive: true, force: true }));

/** Mean difference of two pictures of one size, 0 to 255. */
function meanDifference(a: Buffer, b: Buffer): number {
  expect(a.length).toBe(b.length);
  let sum = 0;
  for (let at = 0; at < a.length; at++) sum += Math.abs((a[at] ?? 0) - (b[at] ?? 0));
  return sum / a.length;
}

describe('fixes on pixels', () => {
  // jpegtran of libjpeg-turbo turns JPEG files without decoding them: an independent reference.
  test.each([
    [90, '90'],
    [180, '180'],
    [-90, '270'],
  ])('a turn by %p is what jpegtran makes of it', async (turn, degrees) => {
    const source = join(folder, 'source.jpg');
    // Sides in whole blocks of 16, so that jpegtran can turn every pixel.
    await sharp(join(nature, 'LadyBird.jpg')).resize(640, 480).jpeg({ quality: 95 }).toFile(source);
    const turned = join(folder, 'turned.jpg');
    await run('jpegtran', ['-rotate', degrees, '-perfect', '-outfile', turned, source]);
    const ours = await fixedPixels(source, { turn }, 4000);
    const theirs = await sharp(turned).raw().toBuffer();
    expect(meanDifference(ours.data, theirs)).toBeLessThan(1.5);
  });

  test('a tilted horizon becomes level, and no corner is empty', async () => {
    const tilt = 7.3;
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="600"><rect width="900" height="600" fill="#f4f4f4"/><g transform="rotate(${tilt} 450 300)"><rect x="-300" y="298" width="1500" height="4"/></g></svg>`;
    const source = await sharp(Buffer.from(svg)).png().toBuffer();
    const level = await fixedPixels(source, { turn: -tilt }, 4000);
    const darkest = (column: number): number => {
      let [row, least] = [0, 256];
      for (let y = 0; y < level.height; y++) {
        const value = level.data[(y * level.width + column) * level.channels] ?? 0;
        if (value < least) [row, least] = [y, value];
      }
      expect(least).toBeLessThan(90);
      return row;
    };
    expect(Math.abs(darkest(5) - darkest(level.width - 6))).toBeLessThanOrEqual(2);
    for (const [x, y] of [
      [0, 0],
      [level.width - 1, 0],
      [0, level.height - 1],
      [level.width - 1, level.height - 1],
    ] as const)
      expect(level.data[(y * level.width + x) * level.channels]).toBeGreaterThan(235);
    expect(level.width / level.height).toBeCloseTo(1.5, 2);
  });

  test('a crop is the very piece that was asked for', async () => {
    const source = join(nature, 'LadyBird.jpg');
    const { width, height } = await sharp(source).metadata();
    const crop = { x: 0.25, y: 0.5, width: 0.5, height: 0.25 };
    const ours = await fixedPixels(source, { crop }, 100_000);
    const theirs = await sharp(source)
      .extract({
        left: Math.round(width * 0.25),
        top: Math.round(height * 0.5),
        width: Math.round(width * 0.5),
        height: Math.round(height * 0.25),
      })
      .raw()
      .toBuffer();
    expect(meanDifference(ours.data, theirs)).toBe(0);
  });

  test('round leaves the middle and nothing in the corners', async () => {
    const made = await fixedPixels(join(nature, 'LadyBird.jpg'), { round: true }, 300);
    const alpha = (x: number, y: number) => made.data[(y * made.width + x) * made.channels + 3];
    expect(made.channels).toBe(4);
    expect(alpha(0, 0)).toBe(0);
    expect(alpha(made.width - 1, made.height - 1)).toBe(0);
    expect(alpha(made.width >> 1, made.height >> 1)).toBe(255);
    expect(alpha(made.width >> 1, 1)).toBe(255);
  });

  test('light follows the Filter Effects Module', async () => {
    // Worked by hand from the W3C text: brightness(1.2) takes 100 to 120; contrast(0.8) takes 200 to 0.8·200 + 0.1·255.
    const grey = (value: number) =>
      sharp({ create: { width: 8, height: 8, channels: 3, background: { r: value, g: value, b: value } } })
        .png()
        .toBuffer();
    expect((await fixedPixels(await grey(100), { brightness: 0.2 }, 8)).data[0]).toBe(120);
    expect(
      Math.abs(((await fixedPixels(await grey(200), { contrast: -0.2 }, 8)).data[0] ?? 0) - 185.5),
    ).toBeLessThan(1);
    expect(lightLine({})).toEqual({ slope: 1, offset: 0 });
  });

  test('black-out stays on its place under a turn and a crop', async () => {
    const red = { r: 250, g: 10, b: 10 };
    const source = await sharp({
      create: { width: 1200, height: 800, channels: 3, background: '#cccccc' },
    })
      .composite([
        { input: { create: { width: 120, height: 80, channels: 3, background: red } }, left: 600, top: 400 },
      ])
      .jpeg({ quality: 92 })
      .toBuffer();
    const blackOut = [{ page: 0, x: 0.5, y: 0.5, width: 0.1, height: 0.1 }];
    const reddish = async (fixes: Parameters<typeof fixedPixels>[1], width: number) => {
      const made = await fixedPixels(source, fixes, width);
      let most = 0;
      for (let at = 0; at < made.data.length; at += made.channels)
        most = Math.max(most, (made.data[at] ?? 0) - (made.data[at + 1] ?? 0));
      return most;
    };
    const frame = { turn: 33.3, crop: { x: 0.3, y: 0.3, width: 0.5, height: 0.5 } };
    for (const width of [1200, 480, 97]) {
      expect(await reddish(frame, width)).toBeGreaterThan(100);
      expect(await reddish({ ...frame, blackOut }, width)).toBeLessThan(12);
      expect(await reddish({ blackOut }, width)).toBeLessThan(12);
    }
  });
});
