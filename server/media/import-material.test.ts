import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { deleteMaterials, stopUpload } from '#contract/materials.ts';
import { createPage } from '#contract/pages.ts';
import { changeSite } from '#contract/sites.ts';
import { undoEdit } from '#contract/undo.ts';
import type { Material, PictureFacts } from '#core/materials/material.ts';
import { TestServer, type TestMaker } from '../testing/test-server.ts';
import { titleFromFileName } from './title-from-file-name.ts';

const pictures = join(import.meta.dirname, '../../demo/pictures');
const phonePicture = join(pictures, 'tide-clock/06-bench-shot-rotated.jpg');
let server: TestServer;
let maker: TestMaker;
let site: string;

beforeAll(async () => {
  server = await TestServer.start({ MAX_FILE_MB: '8' });
  maker = await server.maker();
  site = (await maker.site()).site.id;
});
afterAll(() => server.stop());

/** What Debian's exiftool reads from a file: a reader that has nothing to do with ours. */
function exiftool(path: string): Record<string, string | number> {
  const [read] = JSON.parse(
    execFileSync('exiftool', ['-j', '-n', '-a', '-G1', path], { encoding: 'utf8' }),
  ) as Record<string, string | number>[];
  return read ?? {};
}

async function storedBlobs(): Promise<number> {
  const all = await readdir(join(server.folder, 'blobs'), { recursive: true, withFileTypes: true });
  return all.filter((entry) => entry.isFile()).length;
}

/** Facts of a material that has to be a picture. */
function factsOf(material: Material | undefined): PictureFacts {
  if (material?.kind !== 'picture') throw new Error('This is no picture.');
  return material.facts;
}

const refusal = async (name: string, contents: Buffer): Promise<string> => {
  const before = [await storedBlobs(), (await maker.state(site)).materials.length];
  const said = await maker.upload(site, name, contents).then(
    () => 'accepted',
    (error: Error) => error.message,
  );
  // Whatever was wrong with it, nothing of it is left and nothing else is touched.
  expect([await storedBlobs(), (await maker.state(site)).materials.length]).toEqual(before);
  return said;
};

describe('stopping a file', () => {
  const stop = (upload: string, by = maker) =>
    by.call(stopUpload, { params: { site, upload } }).then(({ was }) => was);

  test('while it is read leaves nothing behind, and nobody else can stop it', async () => {
    const file = await readFile(join(pictures, 'float-lamp/02-cardboard-mock-up.jpg'));
    const { reading, blobs } = server;
    const read = reading.run.bind(reading);
    let goOn = () => {};
    const mayGoOn = new Promise<void>((resolve) => (goOn = resolve));
    const wasRead = new Promise<void>((resolve) => {
      reading.run = (async (...asked: Parameters<typeof read>) => {
        const output = await read(...asked);
        resolve();
        await mayGoOn;
        return output;
      }) as typeof read;
    });
    const uploading = maker.upload(site, 'stopped.jpg', file, { upload: 'upload-one' }).then(
      () => 'stored',
      (error: Error) => error.message,
    );
    await wasRead;
    expect(await stop('upload-one', await server.maker('Juniper'))).toBe('not-there');
    expect(await stop('upload-one')).toBe('stopped');
    goOn();
    expect(await uploading).toBe('This file was stopped. Nothing of it was stored.');
    Object.assign(reading, { run: read });
    expect((await maker.state(site)).materials).toEqual([]);
    expect(await blobs.has(createHash('sha256').update(file).digest('hex'))).toBe(false);
  });

  test('that is stored already says so, and that never came as well', async () => {
    const words = Buffer.from('Words of a note that was stored.');
    const { material } = await maker.upload(site, 'note.txt', words, { upload: 'upload-two' });
    expect(await stop('upload-two')).toBe('stored');
    expect((await maker.state(site)).materials.map(({ id }) => id)).toEqual([material]);
    expect(await stop('never-came')).toBe('not-there');
    // What was refused is not there either.
    await maker.upload(site, 'empty.txt', Buffer.from(''), { upload: 'upload-three' }).catch(() => null);
    expect(await stop('upload-three')).toBe('not-there');
    await maker.call(deleteMaterials, { params: { site }, body: { materials: [material] } });
  });
});

describe('importing pictures', () => {
  test('orientation, date and place agree with exiftool, and the original is kept to the byte', async () => {
    const contents = await readFile(phonePicture);
    const { material } = await maker.upload(site, 'IMG_2041.jpg', contents);
    const state = await maker.state(site);
    const stored = state.materials.find(({ id }) => id === material);
    const read = exiftool(phonePicture);
    expect(factsOf(stored).orientation).toBe(read['IFD0:Orientation']);
    expect([factsOf(stored).heightPx, factsOf(stored).widthPx]).toEqual([
      read['File:ImageWidth'],
      read['File:ImageHeight'],
    ]);
    expect(factsOf(stored).hasGps).toBe(read['GPS:GPSLatitude'] !== undefined);
    expect(stored?.takenOn?.replace('T', ' ').replace(/-/g, ':')).toBe(read['ExifIFD:DateTimeOriginal']);
    expect(stored?.title).toBe('');
    expect(await server.blobs.read(stored?.original ?? '')).toEqual(contents);
  });

  test('every demo picture agrees with exiftool on date, place and size', async () => {
    const folder = join(pictures, 'tide-clock');
    for (const name of (await readdir(folder)).filter((one) => one.endsWith('.jpg')).slice(0, 6)) {
      const { material } = await maker.upload(site, name, await readFile(join(folder, name)));
      const stored = (await maker.state(site)).materials.find(({ id }) => id === material);
      const read = exiftool(join(folder, name));
      const onItsSide = Number(read['IFD0:Orientation'] ?? 1) >= 5;
      expect(factsOf(stored).widthPx).toBe(read[onItsSide ? 'File:ImageHeight' : 'File:ImageWidth']);
      expect(factsOf(stored).hasGps).toBe(read['GPS:GPSLatitude'] !== undefined);
      const date = read['ExifIFD:DateTimeOriginal'];
      expect(stored?.takenOn ?? undefined).toBe(
        typeof date === 'string' ? date.replace(/^(\d+):(\d+):(\d+) /, '$1-$2-$3T') : undefined,
      );
    }
  });

  test('the day that is sent with a file counts where its own bytes know none', async () => {
    const picture = sharp({ create: { width: 40, height: 30, channels: 3, background: '#8a4' } }).jpeg();
    const dateless = await picture.toBuffer();
    const dated = await picture.withExif({ IFD2: { DateTimeOriginal: '2024:03:05 10:04:00' } }).toBuffer();
    const takenOn = async (contents: Buffer) => {
      const { material } = await maker.upload(site, 'photo.jpg', contents, { madeOn: '2025-11-13' });
      return (await maker.state(site)).materials.find(({ id }) => id === material)?.takenOn;
    };
    expect([await takenOn(dateless), await takenOn(dated)]).toEqual(['2025-11-13', '2024-03-05T10:04:00']);
    await expect(maker.upload(site, 'photo.jpg', dateless, { madeOn: '2025-02-30' })).rejects.toMatchObject({
      status: 400,
    });
  });

  test('the same file twice is stored once and says so', async () => {
    const contents = await readFile(join(pictures, 'tool-board/05-hero.jpg'));
    const first = await maker.upload(site, 'board.jpg', contents);
    const before = await storedBlobs();
    const second = await maker.upload(site, 'board copy.jpg', contents);
    expect([first.duplicate, second.duplicate, second.material]).toEqual([false, true, first.material]);
    expect(await storedBlobs()).toBe(before);
  });

  test.each(['png', 'webp', 'avif'] as const)('%s is taken, whatever its name says', async (format) => {
    const contents = await sharp(join(pictures, 'float-lamp/06-hero-lit-room.jpg'))
      .resize(300)
      .toFormat(format)
      .toBuffer();
    const { material } = await maker.upload(site, 'picture.jpg', contents);
    const stored = (await maker.state(site)).materials.find(({ id }) => id === material);
    expect([factsOf(stored).format, factsOf(stored).widthPx]).toEqual([format, 300]);
  });

  test('a broken, truncated, empty, mislabelled or foreign file gets a sentence and harms nothing', async () => {
    const good = await readFile(join(pictures, 'float-lamp/01-sketch.jpg'));
    const noise = Buffer.from(good);
    for (let at = 4000; at < noise.length - 2; at += 7) noise[at] = (at * 31) % 251;
    expect(await refusal('cut.jpg', good.subarray(0, good.length >> 1))).toContain('cut off');
    expect(await refusal('noise.jpg', noise.subarray(0, 9000))).toContain('broken');
    expect(await refusal('empty.jpg', Buffer.alloc(0))).toContain('empty');
    expect(await refusal('words.jpg', Buffer.from('This is a letter, not a picture. '.repeat(40)))).toContain(
      'not what its name says',
    );
    expect(
      await refusal(
        'script.svg',
        Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>1</script></svg>'),
      ),
    ).toContain('Save it as PNG');
    expect(await refusal('scan.tif', await sharp(good).resize(60).tiff().toBuffer())).toContain(
      'TIF picture',
    );
    expect(await refusal('sheet.pdf', Buffer.from('%PDF-1.7 and nothing else'))).toContain('broken');
    expect(await refusal('talk.mp3', Buffer.concat([Buffer.from('ID3'), Buffer.alloc(300, 1)]))).toContain(
      'broken',
    );
    // The first bytes of an ISO base media file with the brand heic (ISO/IEC 23008-12, from memory).
    const heic = Buffer.concat([
      Buffer.from([0, 0, 0, 24]),
      Buffer.from('ftypheic\0\0\0\0mif1heic'),
      Buffer.alloc(200),
    ]);
    expect(await refusal('IMG_0001.HEIC', heic)).toContain('broken or was cut off');
  });

  test('a file over the limit of bytes and a 200-megapixel picture are refused before they cost anything', async () => {
    expect(await refusal('huge.jpg', Buffer.alloc(9 * 1024 * 1024, 1))).toContain('larger than 8 MB');
    const wide = await sharp({ create: { width: 20_000, height: 10_000, channels: 3, background: '#888' } })
      .png({ compressionLevel: 9 })
      .toBuffer();
    expect(await refusal('wide.png', wide)).toContain('200 megapixels');
  });

  test('published pictures carry nothing that exiftool can find but their size and coding', async () => {
    const own = await server.maker();
    const { site: mine } = await own.site('Clean');
    const { material } = await own.upload(mine.id, 'phone.jpg', await readFile(phonePicture));
    await own.call(createPage, {
      params: { site: mine.id },
      body: { title: 'Phone', materials: [material] },
    });
    await own.call(changeSite, {
      params: { site: mine.id },
      body: { seen: 0, label: 'Open', change: { height: 'unlisted' } },
    });
    const job = await own.publish(mine.id);
    const link = job.live?.siteLinkPath ?? '';
    const files = [...new Set((await server.get(`${link}phone/`)).body.match(/files\/[\w.]+/g))];
    expect(
      files
        .map((file) => file.split('.').at(-1))
        .sort()
        .join(' '),
    ).toBe('avif avif avif jpg webp webp webp');
    for (const file of files) {
      const path = join(server.folder, file.replace('/', '-'));
      await writeFile(path, (await server.get(link + file)).rawPayload);
      const groups = new Set(Object.keys(exiftool(path)).map((key) => key.split(':')[0]));
      for (const telling of ['GPS', 'IFD0', 'ExifIFD', 'XMP-x', 'XMP-xmp', 'IPTC', 'MakerNotes'])
        expect(groups).not.toContain(telling);
    }
  });

  test('deleting takes a picture off its pages, and undo brings both back', async () => {
    const { material } = await maker.upload(
      site,
      'corner.jpg',
      await readFile(join(pictures, 'tool-board/04-corner.jpg')),
    );
    const { page } = await maker.call(createPage, {
      params: { site },
      body: { title: 'Board', materials: [material] },
    });
    await maker.call(deleteMaterials, { params: { site }, body: { materials: [material] } });
    const gone = await maker.state(site);
    expect(gone.materials.some(({ id }) => id === material)).toBe(false);
    expect((await maker.project(site, page))?.opening.pictures).toEqual([]);
    await maker.call(undoEdit, { params: { site } });
    const back = await maker.state(site);
    expect(back.materials.some(({ id }) => id === material)).toBe(true);
    expect((await maker.project(site, page))?.opening.pictures).toEqual([material]);
  });
});

test.each([
  ['IMG_2041.JPG', ''],
  ['DSC00012.jpg', ''],
  ['PXL_20260115_101112.jpg', ''],
  ['Screenshot 2026-01-15.png', ''],
  ['20260115_101112.jpg', ''],
  ['07-hero-on-fence.jpg', 'Hero on fence'],
  ['gear_pair_close-up.png', 'Gear pair close up'],
])('a file called %s starts with the title “%s”', (name, title) => {
  expect(titleFromFileName(name)).toBe(title);
});
