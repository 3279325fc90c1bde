import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import sharp from 'sharp';
import { changeMaterial, changeSite, createProject } from '#contract/sites.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

const run = promisify(execFile);
let server: TestServer;
let maker: TestMaker;
let folder = '';
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-black-out-'));
  server = await TestServer.start();
  maker = await server.maker();
}, 60_000);
afterAll(async () => {
  await server?.stop();
  await rm(folder, { recursive: true, force: true });
});

/** Pixels of a PNG, or of a binary PPM: "P6 width height 255" and then three bytes a pixel. */
async function pixelsOf(plain: string): Promise<{ data: Buffer; channels: number }> {
  if (plain.endsWith('.png')) {
    const { data, info } = await sharp(plain).raw().toBuffer({ resolveWithObject: true });
    return { data, channels: info.channels };
  }
  const bytes = await readFile(plain);
  const header = /^P6\s+\d+\s+\d+\s+255\s/.exec(bytes.subarray(0, 60).toString('latin1'));
  if (!header) throw new Error('This is no binary PPM.');
  return { data: bytes.subarray(header[0].length), channels: 3 };
}

/**
 * The most any pixel of a published file is red, decoded by the programs of libjpeg-turbo, libwebp and libavif, which
 * share nothing with what wrote the file.
 */
async function reddest(bytes: Buffer, ending: string): Promise<number> {
  const file = join(folder, `published.${ending}`);
  const plain = join(folder, ending === 'avif' ? 'decoded.png' : 'decoded.ppm');
  await writeFile(file, bytes);
  if (ending === 'jpg') await run('djpeg', ['-ppm', '-outfile', plain, file]);
  else if (ending === 'webp') await run('dwebp', ['-quiet', '-ppm', file, '-o', plain]);
  else await run('avifdec', [file, plain]);
  const { data, channels } = await pixelsOf(plain);
  let most = 0;
  for (let at = 0; at < data.length; at += channels)
    most = Math.max(most, (data[at] ?? 0) - (data[at + 1] ?? 0));
  return most;
}

/** Every picture file a stranger gets with a page, by name. */
async function publishedPictures(path: string): Promise<string[]> {
  const page = await server.get(path);
  expect(page.statusCode).toBe(200);
  return [...new Set([...page.body.matchAll(/files\/[0-9a-f]+\.(?:jpg|webp|avif)/g)].map(([name]) => name))];
}

describe('what is blacked out', () => {
  test('is in no published picture file, and another fix replaces the files with the next release', async () => {
    const site = await maker.site('Black-out');
    const scope = { site: site.site.id };
    // A grey sheet with a red name on it.
    const sheet = await sharp({ create: { width: 1000, height: 600, channels: 3, background: '#c8c8c8' } })
      .composite([
        {
          input: { create: { width: 167, height: 30, channels: 3, background: '#e01010' } },
          left: 500,
          top: 150,
        },
      ])
      .jpeg({ quality: 92 })
      .toBuffer();
    const { material } = await maker.upload(scope.site, 'sheet.jpg', sheet);
    await maker.call(createProject, { params: scope, body: { title: 'Sheet', materials: [material] } });
    const { revision } = await maker.state(scope.site);
    await maker.call(changeSite, {
      params: scope,
      body: { seen: revision, label: 'Open', change: { height: 'public', address: 'black-out' } },
    });
    expect((await maker.publish(scope.site)).state).toBe('done');
    const before = await publishedPictures('/black-out/sheet/');
    expect(before.length).toBeGreaterThanOrEqual(8);
    for (const name of before) {
      const file = await server.get(`/black-out/${name}`);
      expect(await reddest(file.rawPayload, name.split('.').at(-1) ?? '')).toBeGreaterThan(100);
    }

    const { revision: seen } = await maker.state(scope.site);
    const patch = await maker.call(changeMaterial, {
      params: { ...scope, material },
      body: {
        seen,
        label: 'Black out',
        change: {
          fixes: { turn: -4.5, blackOut: [{ page: 0, x: 0.5, y: 0.25, width: 0.17, height: 0.05 }] },
        },
      },
    });
    expect(patch.live.waiting.map(({ title }) => title)).toEqual(['Sheet']);
    expect((await maker.publish(scope.site)).state).toBe('done');
    const after = await publishedPictures('/black-out/sheet/');
    expect(after.length).toBeGreaterThanOrEqual(5);
    for (const name of after) {
      const file = await server.get(`/black-out/${name}`);
      expect(await reddest(file.rawPayload, name.split('.').at(-1) ?? '')).toBeLessThan(16);
    }
    // The uncovered files belong to the release before and to nobody now.
    for (const name of before) expect((await server.get(`/black-out/${name}`)).statusCode).toBe(404);
    // The preview its maker sees has the fixes, and the original is as it was.
    const preview = await maker.raw(
      'GET',
      `/api/materials/${material}/preview/1400?fixes=${encodeURIComponent(JSON.stringify(patch.materials[material]?.fixes))}`,
    );
    expect(await reddest(preview.rawPayload, 'webp')).toBeLessThan(16);
    const { materials } = await maker.state(scope.site);
    expect(await server.blobs.read(materials[0]?.original ?? '')).toEqual(sheet);
  }, 60_000);

  test('fixes that are none are refused in an address', async () => {
    const site = await maker.site('Wrong');
    const { material } = await maker.upload(
      site.site.id,
      'a.png',
      await sharp({ create: { width: 40, height: 40, channels: 3, background: '#123456' } })
        .png()
        .toBuffer(),
    );
    for (const fixes of ['{', '{"turn":999}', '{"crop":{"x":0.9,"y":0,"width":0.9,"height":1}}']) {
      const reply = await maker.raw(
        'GET',
        `/api/materials/${material}/preview/480?fixes=${encodeURIComponent(fixes)}`,
      );
      expect(reply.statusCode).toBe(400);
    }
  });
});
