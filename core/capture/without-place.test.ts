import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { execFileSync } from 'node:child_process';
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { withoutPlace } from './without-place.ts';

/** Everything that Debian's exiftool, a reader that has nothing to do with ours, finds in a file, and in what is embedded there. */
function exiftool(path: string): Record<string, string | number> {
  const [read] = JSON.parse(
    execFileSync('exiftool', ['-j', '-n', '-a', '-G1', '-ee', '-u', path], { encoding: 'utf8' }),
  ) as Record<string, string | number>[];
  return read ?? {};
}
const placesIn = (read: object) =>
  Object.keys(read).filter((name) => /gps|latitude|longitude|:city|location/i.test(name));

const pictures = join(import.meta.dirname, '../../demo/pictures');
let folder = '';
let marked = '';
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'place-'));
  marked = join(folder, 'marked.jpg');
  await writeFile(
    marked,
    await sharp(join(pictures, 'tide-clock/06-bench-shot-rotated.jpg'))
      .withIccProfile('p3')
      .keepExif()
      .jpeg({ progressive: true })
      .toBuffer(),
  );
  // Where cameras and programs write places: Exif, XMP, IPTC, a comment; made up ones.
  const said = ['-overwrite_original', '-n', '-orientation=6', '-datetimeoriginal=2025:11:13 10:04:00'];
  said.push('-gpslatitude=54.1', '-gpslatituderef=N', '-gpslongitude=7.9', '-gpslongituderef=E');
  said.push('-xmp-exif:gpslatitude=54.1', '-xmp-photoshop:city=Saltmouth', '-iptc:city=Saltmouth');
  execFileSync('exiftool', [...said, '-comment=Quay 4, Saltmouth', marked]);
  // A second picture behind the first one, with a place of its own, as phones write them.
  const whole = await readFile(marked);
  await writeFile(marked, Buffer.concat([whole, whole]));
});
afterAll(() => rm(folder, { recursive: true }));

const cleaned = async (path: string) => {
  const file = withoutPlace(await readFile(path));
  if (!file) throw new Error(`${path} was taken for no JPEG file.`);
  const out = join(folder, 'clean.jpg');
  await writeFile(out, file);
  return { out, file: Buffer.from(file), read: exiftool(out) };
};

describe('withoutPlace', () => {
  test('no place is left, whoever wrote it; way up, date and colours are', async () => {
    expect(placesIn(exiftool(marked)).length).toBeGreaterThan(5);
    const { file, read } = await cleaned(marked);
    expect(placesIn(read)).toEqual([]);
    expect(file.includes('Saltmouth')).toBe(false);
    expect(read).toMatchObject({
      'IFD0:Orientation': 6,
      'ExifIFD:DateTimeOriginal': '2025:11:13 10:04:00',
      'ICC_Profile:ProfileDescription': exiftool(marked)['ICC_Profile:ProfileDescription'],
    });
  });

  test('the pictures of the demo are the same to the pixel, by a decoder that has nothing to do with ours', async () => {
    const folders = ['tide-clock', 'float-lamp'];
    for (const one of folders) {
      const all = await readdir(join(pictures, one)).catch(() => []);
      for (const name of all.filter((file) => file.endsWith('.jpg')).slice(0, 5)) {
        const path = join(pictures, one, name);
        const { file, read } = await cleaned(path);
        expect(placesIn(read)).toEqual([]);
        expect(read['ExifTool:Warning']).toBeUndefined();
        const pixels = (from: Buffer | string) => sharp(from).autoOrient().raw().toBuffer();
        expect((await pixels(file)).equals(await pixels(path))).toBe(true);
      }
    }
  });

  test('four inks are read as they were coded', async () => {
    const path = join(folder, 'inks.jpg');
    const inks = sharp(join(pictures, 'tide-clock/05-dial-on-bench.jpg')).toColourspace('cmyk');
    await inks.jpeg({ quality: 80 }).toFile(path);
    const { file, read } = await cleaned(path);
    expect(Object.keys(read).some((name) => name.endsWith(':ColorTransform'))).toBe(true);
    const pixels = (from: Buffer | string) => sharp(from).toColourspace('srgb').raw().toBuffer();
    expect((await pixels(file)).equals(await pixels(path))).toBe(true);
  });

  test('twice is as good as once', async () => {
    const { file } = await cleaned(marked);
    expect(Buffer.from(withoutPlace(file) ?? []).equals(file)).toBe(true);
  });

  test('what is no JPEG file, or is broken off, is not taken for one', async () => {
    const whole = await readFile(marked);
    expect(withoutPlace(await sharp(whole).png().toBuffer())).toBeNull();
    expect(withoutPlace(whole.subarray(0, 4000))).toBeNull();
    expect(withoutPlace(new Uint8Array(0))).toBeNull();
  });

  test('whatever bytes come, it ends, and what it takes has an end', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
        const out = withoutPlace(new Uint8Array([0xff, 0xd8, ...bytes]));
        if (out) expect([...out.subarray(-2)]).toEqual([0xff, 0xd9]);
      }),
    );
  });
});
