import { contrast } from './colour.ts';
import type { Hex } from './colour.ts';
import { needed } from './comfort.ts';
import { decode } from './decode.ts';
import { extremesIn, lightMapFrom } from './light-map.ts';
import type { Look } from './look.ts';
import { coloursOf } from './look-rules.ts';
import type { Colours } from './palette.ts';
import { type ColourPair, commonPairs, type Scheme } from './theme-colours.ts';
import { spare, veilStep } from './veil.ts';

const weights = [0.2126, 0.7152, 0.0722] as const;
const channelsOf = (hex: Hex): [number, number, number] => {
  const at = (from: number) => parseInt(hex.slice(from, from + 2), 16) / 255;
  return [at(1), at(3), at(5)];
};

/**
 * The least and the most luminance of a colour laid over a picture, by how light and dark that is at its extremes.
 *
 * A browser mixes each channel as sRGB has it. As a function of a channel's own luminance, what comes out is concave, whatever the colour
 * laid over it. So the most is that of a grey pixel (Jensen’s inequality, with the lightest channel of the colour), and the least
 * lies on the chord between black and white.
 */
export function luminanceThrough(
  over: Hex,
  alpha: number,
  { lightest, darkest }: { lightest: number; darkest: number },
): { least: number; most: number } {
  const channels = channelsOf(over);
  const grey = Math.min(1, lightest / 255 + spare);
  const low = decode(Math.max(0, darkest / 255 - spare));
  const sum = (of: (channel: number) => number) =>
    weights.reduce((total, weight, at) => total + weight * of(channels[at] ?? 0), 0);
  const black = sum((channel) => decode(alpha * channel));
  const white = sum((channel) => decode(alpha * channel + 1 - alpha));
  const chord = Math.min(
    ...channels.map((channel) => {
      const from = decode(alpha * channel);
      return decode(alpha * channel + 1 - alpha) - from;
    }),
  );
  return {
    most: decode(alpha * Math.max(...channels) + (1 - alpha) * grey),
    least: Math.min(white, black + low * chord),
  };
}

/** The ratio of a colour to a ground whose luminance lies between two. */
function worstRatio(text: Hex, { least, most }: { least: number; most: number }): number {
  const own = contrast(text, '#000000') * 0.05 - 0.05;
  const ratio = (ground: number) => (Math.max(own, ground) + 0.05) / (Math.min(own, ground) + 0.05);
  // Between the two lies the text itself: nothing could be read there.
  if (least <= own && own <= most) return 1;
  return Math.min(ratio(least), ratio(most));
}

/** What stands on a page whose ground is a picture; on a part's ground only the ink does. */
const onPage = commonPairs.filter(({ ground }) => ground === 'paper');
const onPart: readonly ColourPair[] = [{ text: 'ink', ground: 'paper', kind: 'text' }];

/** The weakest veil in one scheme, by what stands on it. */
function alphaIn(
  colours: Colours,
  pairs: readonly ColourPair[],
  needs: Record<ColourPair['kind'], number>,
  extremes: { lightest: number; darkest: number },
): number {
  const paper = colours.paper ?? '#ffffff';
  for (let at = 0; at * veilStep < 1; at++) {
    const alpha = Number((at * veilStep).toFixed(2));
    const through = luminanceThrough(paper, alpha, extremes);
    if (pairs.every(({ text, kind }) => worstRatio(colours[text] ?? '#000000', through) >= needs[kind]))
      return alpha;
  }
  return 1;
}

/** How strong the page's own colour lies over a picture, 0 to 1. */
export interface GroundVeil {
  light: number;
  dark: number;
}

/**
 * How strong the page's own colour lies over a picture that something stands on: the weakest at which everything there is readable at the
 * picture's worst pixels.
 *
 * @param light a map as text; undefined where nothing is known of the picture yet, which then counts as black and white
 * @param of what stands on it: a whole page with all its colours, or parts, whose words are all in ink there
 */
export function veilOfGround(light: string | undefined, look: Look, of: 'page' | 'parts'): GroundVeil {
  const map = light === undefined ? null : lightMapFrom(light);
  const extremes = map
    ? extremesIn(map, { left: 0, top: 0, right: 1, bottom: 1 })
    : { lightest: 255, darkest: 0 };
  const pairs = of === 'page' ? onPage : onPart;
  const alpha = (scheme: Scheme) =>
    alphaIn(coloursOf(look, scheme).colours, pairs, needed[look.comfort], extremes);
  return { light: alpha('light'), dark: alpha('dark') };
}
