import { decode } from './decode.ts';
import { extremesIn, type LightMap, type Part } from './light-map.ts';

/** What lies between a picture and the words over it. */
export interface Veil {
  /** Light words on a dark veil, or dark words on a light one. */
  words: 'light' | 'dark';
  /** How much of the picture it covers, 0 to 1. */
  alpha: number;
}

/** Colours of words and veils, in channels of 0 to 255 and as CSS writes them. */
export const veilColours = {
  light: { words: '#fff', shade: '12 16 20' },
  dark: { words: '#101418', shade: '255 255 255' },
} as const;
/** Lightest channel of the dark veil, and relative luminance of dark words (#101418), both rounded away from being readable. */
const darkVeil = 20 / 255;
const darkWords = 0.0072;

/** Files for readers are made anew in other formats; their lightest pixels may be a little lighter than those that were read. */
export const spare = 2 / 255;

/**
 * The ratio that words over a part of a picture have at least.
 *
 * A browser lays a veil over each channel as sRGB has it. For a dark one the luminance of what comes out is a concave function of
 * the channels' luminances, so that a grey of the same luminance is the worst case. For a white one it is bounded from below by the
 * chord: at least L + (1 − L) · f(alpha), where f turns a channel into luminance. Both bounds hold for every colour.
 *
 * @param lightest and darkest grey of that part, 0 to 255
 */
export function ratioThrough(
  { words, alpha }: Veil,
  { lightest, darkest }: { lightest: number; darkest: number },
): number {
  if (words === 'light') {
    const grey = Math.min(1, lightest / 255 + spare);
    return 1.05 / (decode(alpha * darkVeil + (1 - alpha) * grey) + 0.05);
  }
  const ground = decode(Math.max(0, darkest / 255 - spare));
  return (ground + (1 - ground) * decode(alpha) + 0.05) / (darkWords + 0.05);
}

/** A veil is as strong as one of these steps: finer ones cannot be told apart. */
export const veilStep = 0.02;

/** What holds over any picture at all, and is used where nothing is known of one. */
export function veilOverAnything(needs: number): Veil {
  return weakest({ lightest: 255, darkest: 0 }, 'light', needs);
}

function weakest(extremes: { lightest: number; darkest: number }, words: Veil['words'], needs: number): Veil {
  for (let at = 0; at * veilStep < 1; at++) {
    const veil: Veil = { words, alpha: Number((at * veilStep).toFixed(2)) };
    if (ratioThrough(veil, extremes) >= needs) return veil;
  }
  return { words, alpha: 1 };
}

/**
 * The weakest veils through which words can be read over parts of a picture, each over every one of a few parts: those that lie under
 * the words on pages of some widths. Light words where it makes no difference.
 *
 * @returns one veil for each list of parts, all for words of the same colour
 */
export function veilsFor(map: LightMap, lists: readonly (readonly Part[])[], needs: number): Veil[] {
  const extremes = lists.map((parts) => {
    const all = parts.map((part) => extremesIn(map, part));
    return {
      lightest: Math.max(...all.map((one) => one.lightest)),
      darkest: Math.min(...all.map((one) => one.darkest)),
    };
  });
  const [light, dark] = (['light', 'dark'] as const).map((words) =>
    extremes.map((one) => weakest(one, words, needs)),
  ) as [Veil[], Veil[]];
  const most = (veils: readonly Veil[]) => Math.max(...veils.map(({ alpha }) => alpha));
  return most(dark) < most(light) ? dark : light;
}
