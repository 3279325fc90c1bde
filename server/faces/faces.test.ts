import { afterAll, describe, expect, test } from '@jest/globals';
import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { facesIn } from '#core/personal/faces-in.ts';
import { fixedPixels } from '../media/fixed-pixels.ts';
import { forFaces } from '../inside/to-read.ts';
import { FaceFinder } from './face-finder.ts';

const root = join(import.meta.dirname, '../..');
const finder = new FaceFinder(join(root, 'dist/faces'));
afterAll(() => finder.close());

const found = async (file: string | Buffer) =>
  facesIn((await finder.faces(await forFaces(await fixedPixels(file, {}, 2000)))) ?? []);

describe('faces', () => {
  // Photographs that come with the detector (@vladmandic/face-api), counted by eye. docs/personal-data.md has those of others.
  const photos = join(root, 'node_modules/@vladmandic/face-api/demo');
  test.each([
    ['sample1.jpg', 3],
    ['sample2.jpg', 3],
    ['sample3.jpg', 3],
    ['sample4.jpg', 4],
    ['sample5.jpg', 5],
    ['sample6.jpg', 4],
  ])('of %s there are %i', async (name, count) => {
    expect(await found(join(photos, name))).toHaveLength(count);
  });

  test('a photograph that lies on its side is looked at upright, and one without colours too', async () => {
    const upright = sharp(join(photos, 'sample6.jpg')).resize(900);
    const turned = await upright.clone().rotate(270).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    expect(await found(turned)).toHaveLength(4);
    expect(await found(await upright.clone().greyscale().png().toBuffer())).toHaveLength(4);
  });

  test('in pictures of things there are none', async () => {
    const folder = join(root, 'demo/pictures');
    const pictures = (await readdir(folder, { recursive: true })).filter((name) =>
      /\.(?:jpg|png)$/.test(name),
    );
    expect(pictures.length).toBeGreaterThan(40);
    const wrong: string[] = [];
    for (const name of pictures.filter((_, at) => at % 8 === 0))
      if ((await found(join(folder, name))).length > 0) wrong.push(name);
    expect(wrong).toEqual([]);
  });

  test('where the thread cannot begin nothing is told, and nothing ends', async () => {
    const broken = new FaceFinder(join(root, 'demo'));
    expect(await broken.faces({ data: new Uint8Array(12), width: 2, height: 2 })).toBeNull();
    await broken.close();
  });
});
