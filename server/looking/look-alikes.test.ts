import { beforeAll, describe, expect, test } from '@jest/globals';
import { existsSync } from 'node:fs';
import { readdir } from 'node:fs/promises';
import { basename, join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
// An implementation of a perceptual hash that has nothing to do with ours.
import otherHash from 'sharp-phash';
import { type Comparable, lookAlikes } from '#core/gallery/look-alikes.ts';
import { hashDistance } from '#core/gallery/perceptual-hash.ts';
import type { PictureFeatures } from '#core/gallery/picture-features.ts';
import { pictureWarnings } from '#core/gallery/picture-quality.ts';
import { readFeatures } from './read-features.ts';

const demo = join(import.meta.dirname, '../../demo/pictures');
/** Real photographs: Debian's package mate-backgrounds, folder nature. */
const nature = '/usr/share/backgrounds/mate/nature';

interface Read {
  name: string;
  /** What it is a picture of: pictures of the same are look-alikes. */
  of: string;
  preview: Buffer;
  features: PictureFeatures;
  widthPx: number;
  heightPx: number;
}

async function read(name: string, of: string, picture: Sharp): Promise<Read> {
  const whole = await picture.autoOrient().toBuffer({ resolveWithObject: true });
  const preview = await sharp(whole.data)
    .resize(480, 480, { fit: 'inside' })
    .webp({ quality: 76 })
    .toBuffer();
  const { width: widthPx, height: heightPx } = whole.info;
  return { name, of, preview, features: await readFeatures(preview), widthPx, heightPx };
}

/** A photograph as large as a screen, so that making its variants takes no time. */
const screenSized = (path: string) =>
  sharp(path).resize(1400, 1400, { fit: 'inside' }).jpeg({ quality: 95 }).toBuffer();

/** What happens to a photograph between a phone and a folder. */
async function variants(path: string): Promise<Read[]> {
  const of = basename(path);
  const photo = await screenSized(path);
  const { width, height } = await sharp(photo).metadata();
  const part = (share: number, left: number, top: number) =>
    sharp(photo).extract({
      left: Math.round(width * left),
      top: Math.round(height * top),
      width: Math.round(width * share),
      height: Math.round(height * share),
    });
  const tilted = sharp(await sharp(photo).resize(1200).rotate(1.5).toBuffer());
  const size = await tilted.metadata();
  const made: [string, Sharp][] = [
    ['as it is', sharp(photo)],
    ['cropped', part(0.94, 0.03, 0.02)],
    ['brighter', sharp(photo).linear(1.15, 8)],
    ['darker', sharp(photo).linear(0.75, 0)],
    ['small and compressed', sharp(await sharp(photo).resize(640).jpeg({ quality: 25 }).toBuffer())],
    [
      'tilted',
      tilted.extract({
        left: Math.round(size.width * 0.04),
        top: Math.round(size.height * 0.04),
        width: Math.round(size.width * 0.92),
        height: Math.round(size.height * 0.92),
      }),
    ],
  ];
  return Promise.all(made.map(([how, picture]) => read(`${of}, ${how}`, of, picture)));
}

const comparable = ({ name, features }: Read): Comparable => ({
  id: name,
  hash: features.hash,
  shape: features.shape,
  square: Buffer.from(features.square, 'base64'),
});
/** Pairs in one group, by name, in a fixed order. */
const pairsOf = (groups: readonly (readonly string[])[]): Set<string> =>
  new Set(
    groups.flatMap((group) =>
      group.flatMap((a, at) => group.slice(at + 1).map((b) => [a, b].sort().join(' | '))),
    ),
  );

let photographs: Read[];
let planted: Read[];
beforeAll(async () => {
  if (!existsSync(nature)) throw new Error('Install Debian’s package mate-backgrounds; npm test does.');
  photographs = [];
  for (const name of (await readdir(nature)).filter((one) => one.endsWith('.jpg')).sort())
    photographs.push(...(await variants(join(nature, name))));
  planted = [];
  for (const name of (await readdir(demo, { recursive: true })).filter((one) => one.endsWith('.jpg')).sort())
    planted.push(await read(name, name, sharp(join(demo, name))));
});

describe('look-alikes', () => {
  test('among real photographs: none of different ones, and nearly all of one', () => {
    const found = pairsOf(lookAlikes(photographs.map(comparable)));
    const right = pairsOf(
      [...new Set(photographs.map(({ of }) => of))].map((of) =>
        photographs.filter((one) => one.of === of).map(({ name }) => name),
      ),
    );
    const hits = [...found].filter((pair) => right.has(pair)).length;
    const [precision, recall] = [hits / found.size, hits / right.size];
    // docs/look-alikes.md has the numbers; these are the limits below which it would be wrong.
    expect(precision).toBe(1);
    expect(recall).toBeGreaterThan(0.9);
  });

  test('the demo’s planted near-duplicates are found, and different views and sketches are not merged', () => {
    const groups = lookAlikes(planted.map(comparable)).map((group) => [...group].sort());
    expect(groups.sort()).toEqual([
      ['tide-clock/04-gears-and-motor.jpg', 'tide-clock/12-gears-blurred.jpg'],
      ['tide-clock/05-dial-on-bench.jpg', 'tide-clock/13-dial-too-small.jpg'],
      [
        'tide-clock/08-hero-on-wall.jpg',
        'tide-clock/09-hero-again-a.jpg',
        'tide-clock/10-hero-again-b.jpg',
        'tide-clock/11-hero-again-c.jpg',
        'tide-clock/14-hero-over-exposed.jpg',
      ],
    ]);
  });

  test('the order of the pictures changes nothing but the order in the groups', () => {
    const forwards = pairsOf(lookAlikes(planted.map(comparable)));
    expect(pairsOf(lookAlikes([...planted].reverse().map(comparable)))).toEqual(forwards);
  });

  test('our hash and an independent one agree on what is near and what is far', async () => {
    const some = photographs.filter(({ name }) => !name.endsWith('tilted'));
    const others = await Promise.all(some.map(({ preview }) => otherHash(preview)));
    const apart = (a: string, b: string) => [...a].filter((bit, at) => bit !== b[at]).length;
    let agree = 0;
    let pairs = 0;
    some.forEach((a, i) =>
      some.slice(i + 1).forEach((b, j) => {
        const ours = hashDistance(a.features.hash, b.features.hash);
        const theirs = apart(others[i] ?? '', others[i + 1 + j] ?? '');
        pairs++;
        if (ours < 20 === theirs < 20) agree++;
      }),
    );
    expect(agree / pairs).toBeGreaterThan(0.97);
  });
});

describe('quality', () => {
  const warned = (one: Read) => pictureWarnings(one, one.features);
  test('of the demo’s pictures: the blurred, the small and the over-exposed one are told, and no other', () => {
    const told = planted.flatMap((one) => warned(one).map((warning) => `${one.name} ${warning}`));
    expect(told).toEqual([
      'tide-clock/12-gears-blurred.jpg perhaps-blurred',
      'tide-clock/13-dial-too-small.jpg too-small',
      'tide-clock/14-hero-over-exposed.jpg very-bright',
    ]);
  });

  test('a sharp photograph is told blurred once it is, and very dark once it is', async () => {
    const sharpOnes = ['RainDrops.jpg', 'TwoWings.jpg', 'YellowFlower.jpg', 'Wood.jpg'];
    for (const name of sharpOnes) {
      const photo = await screenSized(join(nature, name));
      expect(warned(await read(name, name, sharp(photo)))).toEqual([]);
      const soft = await read(name, name, sharp(await sharp(photo).blur(9).toBuffer()));
      expect([name, warned(soft)]).toEqual([name, ['perhaps-blurred']]);
      const dark = await read(name, name, sharp(photo).linear(0.18, 0));
      expect([name, warned(dark)]).toEqual([name, expect.arrayContaining(['very-dark'])]);
    }
  });
});
