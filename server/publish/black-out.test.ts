import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFile } from 'node:child_process';
import { mkdtemp, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import sharp from 'sharp';
import { desc } from 'drizzle-orm';
import { changeMaterial } from '#contract/materials.ts';
import { changePage, createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { fromStored } from '#core/stored/stored-json.ts';
import { storedManifest } from '#core/stored/stored-kinds.ts';
import { releases } from '../db/schema.ts';
import { type TestMaker, TestServer } from '../testing/test-server.ts';

const run = promisify(execFile);
let server: TestServer;
let maker: TestMaker;
let folder = '';
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'kite-wall-black-out-'));
  server = await TestServer.start();
  maker = await server.maker();
});
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
    await maker.call(createPage, { params: scope, body: { title: 'Sheet', materials: [material] } });
    const { revision } = await maker.state(scope.site);
    await maker.call(changeSite, {
      params: scope,
      body: { seen: revision, label: 'Open', change: { height: 'public', address: 'black-out' } },
    });
    expect((await maker.publish(scope.site)).state).toBe('done');
    const before = await publishedPictures('/black-out/sheet/');
    // 480, 750 and its own 1000 pixels in two newer formats, and JPEG as large as it is.
    expect(before).toHaveLength(7);
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
  });

  test('of a PDF is on no published page, in no word and in no file, and its original cannot be fetched', async () => {
    const site = await maker.site('Test sheet');
    const scope = { site: site.site.id };
    const pdf = await readFile(
      join(import.meta.dirname, '../../demo/pictures/bike-trailer/workshop-test-sheet.pdf'),
    );
    const { material } = await maker.upload(scope.site, 'sheet.pdf', pdf);
    const { page } = await maker.call(createPage, {
      params: scope,
      body: { title: 'Trailer', materials: [material] },
    });
    const change = async (content: Record<string, unknown>) => {
      const { revision } = await maker.state(scope.site);
      await maker.call(changePage, {
        params: { ...scope, page },
        body: { seen: revision, label: 'Change', change: content },
      });
    };
    const parts = (await maker.project(scope.site, page))?.parts ?? [];
    await change({
      parts: parts.map((part) => (part.kind === 'document' ? { ...part, download: true } : part)),
    });
    const { revision } = await maker.state(scope.site);
    await maker.call(changeSite, {
      params: scope,
      body: { seen: revision, label: 'Open', change: { height: 'public', address: 'test-sheet' } },
    });
    expect((await maker.publish(scope.site)).state).toBe('done');
    const before = (await server.get('/test-sheet/trailer/')).body;
    expect(before).toContain('555-0142');
    const download = /files\/[0-9a-f]+\.pdf/.exec(before)?.[0] ?? '';
    const offered = await server.get(`/test-sheet/${download}`);
    expect(offered.rawPayload).toEqual(pdf);
    expect(offered.headers['content-disposition']).toMatch(/^attachment/);

    // The phone and student numbers, as poppler's pdftotext finds them: lines of the table on page 1 and below on both.
    const boxes = await run('pdftotext', [
      '-bbox',
      join(import.meta.dirname, '../../demo/pictures/bike-trailer/workshop-test-sheet.pdf'),
      '-',
    ]);
    const secret = /^(\(000\)|555-0142|S-2047-1183)[.,]?$/;
    const blackOut = boxes.stdout
      .split('<page ')
      .slice(1)
      .flatMap((text, at) =>
        [
          ...text.matchAll(
            /<word xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">(.*?)<\/word>/g,
          ),
        ]
          .filter((one) => secret.test(one[5] ?? ''))
          .map(([, xMin, yMin, xMax, yMax]) => ({
            page: at,
            x: Number(xMin) / 595.276,
            y: Number(yMin) / 841.89,
            width: (Number(xMax) - Number(xMin)) / 595.276,
            height: (Number(yMax) - Number(yMin)) / 841.89,
          })),
      );
    expect(blackOut.length).toBeGreaterThanOrEqual(3);
    const { revision: seen } = await maker.state(scope.site);
    await maker.call(changeMaterial, {
      params: { ...scope, material },
      body: {
        seen,
        label: 'Black out',
        // The second page is also turned on its side: what is covered turns with it.
        change: { fixes: { blackOut, pageTurns: [{ page: 1, turn: 90 }] } },
      },
    });
    expect((await maker.publish(scope.site)).state).toBe('done');

    const html = (await server.get('/test-sheet/trailer/')).body;
    expect(html).toContain('Sandbags');
    expect(html).not.toMatch(/555-0142|\(000\)|S-2047-1183/);
    expect(html).not.toContain('.pdf');
    expect((await server.get(`/test-sheet/${download}`)).statusCode).toBe(404);
    // Nothing that any entrance of the live release can hand out holds the numbers, whatever it is.
    const [release] = await server.database.db.select().from(releases).orderBy(desc(releases.id)).limit(1);
    const manifest = fromStored(storedManifest, release?.manifest);
    const trees = [manifest.public, manifest.siteLink, ...Object.values(manifest.pageLinks)];
    const files = trees.flatMap((tree) => Object.values(tree ?? {}));
    expect(files.length).toBeGreaterThan(10);
    for (const { hash } of files) {
      const bytes = await server.blobs.read(hash);
      expect(bytes.includes('555-0142') || bytes.includes('S-2047-1183')).toBe(false);
      expect(bytes.subarray(0, 5).toString('latin1')).not.toBe('%PDF-');
    }
    // The covered places are black on the published page, as libjpeg-turbo decodes it; around them it is not.
    const jpeg = [...new Set([...html.matchAll(/files\/[0-9a-f]+\.jpg/g)].map(([name]) => name))];
    let darkest = 0;
    const sides = new Set<boolean>();
    for (const name of jpeg) {
      const file = join(folder, 'page.jpg');
      await writeFile(file, (await server.get(`/test-sheet/${name}`)).rawPayload);
      const decoded = join(folder, 'page.ppm');
      await run('djpeg', ['-ppm', '-outfile', decoded, file]);
      const [, width = 0, height = 0] =
        /^P6\s+(\d+)\s+(\d+)/
          .exec((await readFile(decoded)).subarray(0, 40).toString('latin1'))
          ?.map(Number) ?? [];
      const { data } = await pixelsOf(decoded);
      const brightest = (region: { x: number; y: number; width: number; height: number }) => {
        let most = 0;
        for (let y = Math.ceil(region.y * height); y < (region.y + region.height) * height; y++)
          for (let x = Math.ceil(region.x * width); x < (region.x + region.width) * width; x++)
            most = Math.max(most, data[(y * width + x) * 3] ?? 0);
        return most;
      };
      const onItsSide = width > height;
      sides.add(onItsSide);
      const covered = blackOut
        .filter((one) => one.page === (onItsSide ? 1 : 0))
        .map((one) =>
          onItsSide ? { x: 1 - one.y - one.height, y: one.x, width: one.height, height: one.width } : one,
        );
      if (covered.length > 0 && covered.every((one) => brightest(one) < 24)) darkest++;
      expect(brightest({ x: 0, y: 0, width: 1, height: 1 })).toBeGreaterThan(240);
    }
    expect(darkest).toBe(jpeg.length);
    expect(sides.size).toBe(2);
  });

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
