import { converter } from 'culori/fn';
import { type Hex, hexOf, type Lightness } from './colour.ts';

const toOklab = converter('oklab');

/** In slices of the wheel of hues. */
const slices = 36;
/** Below this chroma a pixel has no hue worth speaking of. */
const colourless = 0.025;

interface Heap {
  weight: number;
  l: number;
  a: number;
  b: number;
}

/**
 * One or two seeds for a look from a picture: the hue that speaks loudest in it, and the loudest of those that are at least a
 * fifth of the wheel away. Loud is what covers much and is colourful; colour counts more than ground, since a red sail on a grey sea
 * is what one remembers. A picture without colour gives its own grey.
 *
 * @param pixels red, green, blue and alpha in turn, 0 to 255, as a canvas has them
 */
export function seedsFromPixels(pixels: ArrayLike<number>): { first: Hex; second: Hex | null } {
  const heaps: Heap[] = Array.from({ length: slices }, () => ({ weight: 0, l: 0, a: 0, b: 0 }));
  const all: Heap = { weight: 0, l: 0, a: 0, b: 0 };
  const known = new Map<number, { l: number; a: number; b: number }>();
  for (let at = 0; at + 3 < pixels.length; at += 4) {
    if ((pixels[at + 3] ?? 0) < 128) continue;
    // Thirty-two steps a channel are as many as matter here, and are looked up instead of worked out.
    const [r, g, b] = [0, 1, 2].map((channel) => ((pixels[at + channel] ?? 0) >> 3) / 31) as [
      number,
      number,
      number,
    ];
    const key = (r * 31 * 32 + g * 31) * 32 + b * 31;
    const colour = known.get(key) ?? toOklab({ mode: 'rgb', r, g, b });
    known.set(key, colour);
    add(all, colour, 1);
    const chroma = Math.hypot(colour.a, colour.b);
    if (chroma < colourless) continue;
    const turn = (Math.atan2(colour.b, colour.a) / (2 * Math.PI) + 1) % 1;
    const heap = heaps[Math.floor(turn * slices) % slices];
    if (heap) add(heap, colour, chroma ** 2);
  }
  if (all.weight === 0) return { first: '#808080', second: null };
  const near = (at: number) =>
    [-1, 0, 1]
      .map((by) => heaps[(at + by + slices) % slices] ?? all)
      .reduce((sum, heap) => sum + heap.weight, 0);
  const order = heaps
    .map((heap, at) => ({ heap, at, loud: near(at) }))
    .filter(({ heap }) => heap.weight > 0)
    .sort((one, other) => other.loud - one.loud || one.at - other.at);
  const [loudest] = order;
  if (!loudest) return { first: hexOf(mean(all)), second: null };
  const apart = (at: number) => Math.min(Math.abs(at - loudest.at), slices - Math.abs(at - loudest.at));
  const second = order.find(({ at, loud }) => apart(at) >= slices / 5 && loud > loudest.loud / 200);
  return { first: hexOf(mean(loudest.heap)), second: second ? hexOf(mean(second.heap)) : null };
}

function add(heap: Heap, { l, a, b }: { l: number; a: number; b: number }, weight: number): void {
  heap.weight += weight;
  heap.l += l * weight;
  heap.a += a * weight;
  heap.b += b * weight;
}

function mean({ weight, l, a, b }: Heap): Lightness {
  const [x, y] = [a / weight, b / weight];
  return { l: l / weight, c: Math.hypot(x, y), h: ((Math.atan2(y, x) * 180) / Math.PI + 360) % 360 };
}
