import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { changeMaterial } from '#contract/materials.ts';
import { createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';

/**
 * Pictures as phones make them, made by libheif's own encoder from a photograph with a turn, a date and a place, and compared
 * with what libheif's own converter makes of them (both from Debian's libheif-examples).
 */
const photo = join(import.meta.dirname, '../../demo/pictures/tide-clock/06-bench-shot-rotated.jpg');
let folder: string;
let server: TestServer;
let maker: TestMaker;
let site: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-heic-'));
  server = await TestServer.start();
  maker = await server.maker();
  site = (await maker.site()).site.id;
});
afterAll(async () => {
  await server.stop();
  await rm(folder, { recursive: true, force: true });
});

const run = (program: string, ...args: string[]) =>
  execFileSync(program, args, { cwd: folder, encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] });

async function heicOf(name: string, ...args: string[]): Promise<Buffer> {
  run('heif-enc', photo, '-o', name, '-q', '90', ...args);
  return readFile(join(folder, name));
}

/** Mean difference of two pictures of one size, of 255. */
async function difference(a: Buffer, b: Buffer): Promise<number> {
  const pixels = (one: Buffer) =>
    sharp(one).resize(240, 240, { fit: 'fill' }).toColourspace('srgb').removeAlpha().raw().toBuffer();
  const [first, second] = await Promise.all([pixels(a), pixels(b)]);
  return first.reduce((sum, value, at) => sum + Math.abs(value - (second[at] ?? 0)), 0) / first.length;
}

describe('HEIC', () => {
  test('is taken in with its size, turn, date and the notice of its place', async () => {
    const contents = await heicOf('phone.heic');
    run('heif-convert', 'phone.heic', 'reference.png');
    const reference = await readFile(join(folder, 'reference.png'));
    const size = await sharp(reference).metadata();
    const reply = await maker.upload(site, 'IMG_0001.HEIC', contents);
    const made = reply.materials[reply.material];
    expect(made).toMatchObject({
      kind: 'picture',
      title: '',
      takenOn: '2025-11-13T16:42:10',
      facts: { format: 'heic', widthPx: size.width, heightPx: size.height, orientation: 1, hasGps: true },
    });
    const preview = await maker.raw('GET', `/api/materials/${reply.material}/preview/1400`);
    expect(await difference(preview.rawPayload, reference)).toBeLessThan(4);
    // The original is kept as it came.
    const original = await maker.raw('GET', `/api/materials/${reply.material}/file/download`);
    expect(original.rawPayload.equals(contents)).toBe(true);
  });

  test('is published as every browser shows it, with its fixes and without place and date', async () => {
    const { material } = await maker.upload(
      site,
      'IMG_0002.HEIC',
      await heicOf('second.heic', '--thumb', '200'),
    );
    const { revision } = await maker.state(site);
    const region = { x: 0, y: 0, width: 0.5, height: 0.5 };
    await maker.call(changeMaterial, {
      params: { site, material },
      body: { seen: revision, label: 'Black-out', change: { fixes: { blackOut: [region] } } },
    });
    await maker.call(createPage, { params: { site }, body: { title: 'Phone', materials: [material] } });
    await maker.call(changeSite, {
      params: { site },
      body: { seen: 0, label: 'Open', change: { height: 'public', address: 'from-a-phone' } },
    });
    expect((await maker.publish(site)).state).toBe('done');
    const { body } = await server.get('/from-a-phone/phone/');
    const files = [...new Set(body.match(/files\/[\w.]+/g))];
    expect(files.some((file) => file.endsWith('.jpg'))).toBe(true);
    for (const file of files) {
      const { rawPayload } = await server.get(`/from-a-phone/${file}`);
      await writeFile(join(folder, 'published'), rawPayload);
      expect(run('exiftool', '-s', '-GPS:all', '-EXIF:all', '-XMP:all', 'published')).toBe('');
      const { data, info } = await sharp(rawPayload)
        .removeAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true });
      const dot = data.subarray((Math.floor(info.height / 4) * info.width + Math.floor(info.width / 4)) * 3);
      expect(Math.max(dot[0] ?? 255, dot[1] ?? 255, dot[2] ?? 255)).toBeLessThan(12);
    }
  });

  test('one that is cut off, and one with too many dots, are refused in a sentence', async () => {
    const contents = await heicOf('cut.heic');
    await expect(
      maker.upload(site, 'IMG_0003.HEIC', contents.subarray(0, Math.floor(contents.length / 3))),
    ).rejects.toThrow('broken or was cut off');
    const small = await TestServer.start({ MAX_MEGAPIXELS: '0.5' });
    const one = await small.maker();
    const own = (await one.site()).site.id;
    await expect(one.upload(own, 'IMG_0004.HEIC', contents)).rejects.toThrow('megapixels');
    await small.stop();
  });
});
