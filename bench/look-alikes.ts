import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import sharp, { type Sharp } from 'sharp';
import { type Comparable, lookAlikes } from '../core/gallery/look-alikes.ts';
import { hashSidePx, lightShape, perceptualHash } from '../core/gallery/perceptual-hash.ts';
import { patchSquarePx } from '../core/gallery/shared-patches.ts';
import { readFeatures } from '../server/looking/read-features.ts';
import { median, milliseconds, type Row, timed } from './table.ts';

const demo = join(import.meta.dirname, '../demo/pictures');
const pictures = Number(process.env['PICTURES'] ?? 1000);
const sizes = [1250, 2500, 5000];
const rounds = 2;

/** Numbers that look random and are the same in every run (a linear congruential generator, ANSI C's constants). */
function numbers(): () => number {
  let state = 12345;
  return () => {
    state = (Math.imul(state, 1103515245) + 12345) & 0x7fffffff;
    return state / 0x7fffffff;
  };
}

/** Pictures as different as a maker's heap: pieces of all sizes cut from the demo's pictures, some of them twice. */
async function* pieces(count: number): AsyncGenerator<Sharp> {
  const next = numbers();
  const sources = await Promise.all(
    (await readdir(demo, { recursive: true }))
      .filter((name) => name.endsWith('.jpg'))
      .sort()
      .map((name) =>
        sharp(join(demo, name))
          .autoOrient()
          .resize(800, 800, { fit: 'inside' })
          .raw()
          .toBuffer({ resolveWithObject: true }),
      ),
  );
  for (let at = 0; at < count; at++) {
    const source = sources[Math.floor(next() * sources.length)];
    if (!source) continue;
    const { width, height, channels } = source.info;
    const share = 0.12 + 0.5 * next();
    const [w, h] = [Math.round(width * share), Math.round(height * share)];
    yield sharp(source.data, { raw: { width, height, channels } }).extract({
      left: Math.floor(next() * (width - w)),
      top: Math.floor(next() * (height - h)),
      width: w,
      height: h,
    });
  }
}

async function heap(count: number): Promise<Buffer[]> {
  const made: Buffer[] = [];
  for await (const piece of pieces(count))
    made.push(await piece.resize(480, 480, { fit: 'inside' }).webp({ quality: 76, effort: 0 }).toBuffer());
  return made;
}

const halved = (square: Uint8Array): Uint8Array =>
  Uint8Array.from({ length: hashSidePx ** 2 }, (_, at) => {
    const corner = Math.floor(at / hashSidePx) * 2 * patchSquarePx + (at % hashSidePx) * 2;
    const sum = [0, 1, patchSquarePx, patchSquarePx + 1].reduce(
      (all, by) => all + (square[corner + by] ?? 0),
      0,
    );
    return sum / 4;
  });

/**
 * What grouping needs of many pictures. Pieces of few photographs would overlap more the more there are; two laid over
 * each other are a new picture each time. Every tenth is the one before it, a little darker: a look-alike.
 */
export async function squares(count: number): Promise<Comparable[]> {
  const made: Comparable[] = [];
  let under: Uint8Array | null = null;
  let last: Uint8Array | null = null;
  for await (const piece of pieces(count + 1)) {
    const over = await piece
      .greyscale()
      .resize(patchSquarePx, patchSquarePx, { fit: 'fill' })
      .raw()
      .toBuffer();
    if (under) {
      const below = under;
      const square: Uint8Array =
        made.length % 10 === 9 && last
          ? last.map((value) => value * 0.8)
          : Uint8Array.from(over, (value, at) => (value + (below[at] ?? 0)) / 2);
      const small = halved(square);
      made.push({ id: String(made.length), hash: perceptualHash(small), shape: lightShape(small), square });
      last = square;
    }
    under = over;
  }
  return made;
}

/** Telling 1,000 pictures apart, and grouping 5,000. */
export async function benchLookAlikes(): Promise<Row[]> {
  const previews = await heap(pictures);
  const ours: number[] = [];
  const bare: number[] = [];
  for (let round = 0; round < 1; round++) {
    bare.push(
      await timed(async () => {
        for (const preview of previews) await sharp(preview).raw().toBuffer();
      }),
    );
    ours.push(
      await timed(async () => {
        for (const preview of previews) await readFeatures(preview);
      }),
    );
  }
  const perSecond = (ms: number) => `${Math.round((1000 * pictures) / ms)} a second`;

  const many = await squares(Math.max(...sizes));
  const times: number[] = [];
  for (const size of sizes) {
    const runs: number[] = [];
    for (let round = 0; round < rounds; round++)
      runs.push(await timed(async () => void lookAlikes(many.slice(0, size))));
    times.push(Math.min(...runs));
  }
  const [quarter = 1, , whole = 1] = times;
  const growth = whole / quarter;
  return [
    {
      what: `what ${pictures} pictures are told apart by`,
      ours: perSecond(median(ours)),
      against: 'decoding the same previews in bare sharp',
      other: perSecond(median(bare)),
      ratio: median(ours) / median(bare),
      wanted: 'no limit set',
      reached: true,
    },
    {
      what: `look-alikes among ${sizes.at(-1)} pictures`,
      ours: milliseconds(whole),
      against: `a quarter as many (${sizes[0]})`,
      other: milliseconds(quarter),
      ratio: growth,
      wanted: 'at most 8 times (16 would be quadratic)',
      reached: growth <= 8,
    },
  ];
}
