import type { Comfort } from './comfort.ts';
import { needed } from './comfort.ts';
import { fontPairs } from './font-pairs.ts';
import { extremesIn, lightMapFrom, type Part } from './light-map.ts';
import type { Look } from './look.ts';
import { fontsOf } from './fonts-of.ts';
import { lowestPart } from './shown-part.ts';
import { ratioThrough, type Veil, veilOverAnything, veilsFor } from './veil.ts';

/** Widths of a page for which veils are worked out, in CSS pixels: narrow, in between, wide; each from the last one on. */
export const pageWidths = [
  [320, 390, 480, 671],
  [672, 820, 960, 1087],
  [1088, 1280, 1440, 1680, 2200],
] as const;

/** Heights that a full opening may have at such a width; see site/styles/opening.css and Lamplight's own sheet. */
const openingHeights = (width: number): number[] => [
  Math.min(384, 0.56 * width),
  Math.max(384, Math.min(736, 0.56 * width)),
  Math.max(416, Math.min(960, 0.62 * width)),
];

/** A picture that words lie over. */
export interface OverPicture {
  /** A map as text, where something is known of the picture already. */
  light?: string;
  widthPx: number;
  heightPx: number;
  focus: { x: number; y: number };
}

/** Words of an opening, as far as it matters how much room they take. */
export interface OpeningWords {
  /** How wide they are, in letters; those that fill a square count as two. */
  title: number;
  summary: number;
  hasKicker: boolean;
}

const rem = 16;
const between = (least: number, value: number, most: number) => Math.min(most, Math.max(least, value));

/**
 * How high the words of a full opening stand, at most, in CSS pixels: sizes as site/styles/grid.css has them, letters as wide as the
 * widest fonts have them, and a fifth more for lines that break unluckily.
 */
export function openingWordsHeight(words: OpeningWords, look: Look, width: number): number {
  const { properties } = fontPairs[fontsOf(look)];
  const pair: Record<string, string> = properties;
  const displaySize = Number(pair['display-size'] ?? 1);
  const t4 = displaySize * between(2.5 * rem, 1.2 * rem + 0.046 * width, 6 * rem);
  const t1 = look.textSize * 1.1 * between(1.18 * rem, 1.06 * rem + 0.005 * width, 1.62 * rem);
  const line = look.spacing * 1.25 * between(1.25 * rem, 1.02 * rem + 0.0072 * width, 1.9 * rem);
  const inset = between(1.15 * rem, 0.2 * rem + 0.04 * width, 4.75 * rem);
  const room = (width - 2 * inset) * (width >= 1088 ? 0.72 : 1);
  const lines = (letters: number, size: number, most: number) =>
    letters === 0
      ? 0
      : Math.ceil((letters * size) / Math.min(room, most * size)) + (letters * size > room ? 1 : 0);
  const title = lines(words.title, t4 * 0.62, 17) * t4 * 1.15;
  const summary = lines(words.summary, t1 * 0.56, 42) * t1 * 1.45;
  const kicker = words.hasKicker ? 2.6 * rem : 0;
  return 1.2 * (0.4 * rem + kicker + title + summary + line * (0.6 * 2 + 1.4));
}

/** The most that is needed of anything among those words. */
const needs = (comfort: Comfort): number => needed[comfort].text;

/** Parts of a picture that lie under the words of an opening, on pages of each of those widths. */
function partsUnder(picture: OverPicture, words: OpeningWords, look: Look): Part[][] {
  const { widthPx, heightPx, focus } = picture;
  return pageWidths.map((widths) =>
    widths.flatMap((width) => {
      const low = openingWordsHeight(words, look, width);
      return openingHeights(width).map((height) =>
        lowestPart(
          { width: widthPx, height: heightPx },
          { width, height: Math.max(height, low) },
          focus,
          low,
        ),
      );
    }),
  );
}

/** Veils of a full opening: on a narrow page, one in between, and a wide one. */
export function openingVeils(picture: OverPicture, words: OpeningWords, look: Look): Veil[] {
  const map = picture.light ? lightMapFrom(picture.light) : null;
  if (!map) return pageWidths.map(() => veilOverAnything(needs(look.comfort)));
  return veilsFor(map, partsUnder(picture, words, look), needs(look.comfort));
}

/** Whatever the crop of a card is, the name on it lies within this part. */
const underName: Part = { left: 0, top: 0.3, right: 1, bottom: 1 };

/** The veil under a name that lies over its picture on the wall: whatever the crop is, the name is in its lower half. */
export function nameVeil(picture: OverPicture, look: Look): Veil {
  const map = picture.light ? lightMapFrom(picture.light) : null;
  if (!map) return veilOverAnything(needs(look.comfort));
  const [veil] = veilsFor(map, [[underName]], needs(look.comfort));
  return veil ?? veilOverAnything(needs(look.comfort));
}

/** The veil below what passes over one or two pictures: whatever of them is behind it at any moment. */
export function passingVeil(pictures: readonly OverPicture[], look: Look): Veil {
  const maps = pictures.map(({ light }) => (light ? lightMapFrom(light) : null));
  const whole = { left: 0, top: 0, right: 1, bottom: 1 };
  const known = maps.flatMap((map) => (map ? [extremesIn(map, whole)] : []));
  if (known.length === 0 || known.length < maps.length) return veilOverAnything(needs(look.comfort));
  const all = {
    ...{ columns: 1, rows: 1 },
    lightest: Uint8Array.of(Math.max(...known.map(({ lightest }) => lightest))),
    darkest: Uint8Array.of(Math.min(...known.map(({ darkest }) => darkest))),
  };
  const [veil] = veilsFor(all, [[whole]], needs(look.comfort));
  return veil ?? veilOverAnything(needs(look.comfort));
}

/** How words over a picture fare at the worst of its pixels, on the page on which they fare worst. */
export interface Endangered {
  words: Veil['words'];
  needs: number;
  /** Ratio without any veil, and through the one they get. */
  without: number;
  through: number;
  /** How much of the picture that veil covers there, 0 to 1. */
  alpha: number;
}

/** Of the words of an opening; null where nothing is known of the picture yet. */
export function openingEndangered(picture: OverPicture, words: OpeningWords, look: Look): Endangered | null {
  const map = picture.light ? lightMapFrom(picture.light) : null;
  if (!map) return null;
  const veils = openingVeils(picture, words, look);
  const places = partsUnder(picture, words, look).flatMap((parts, at) =>
    parts.flatMap((part) => {
      const veil = veils[at];
      const extremes = extremesIn(map, part);
      return veil
        ? [
            {
              words: veil.words,
              needs: needs(look.comfort),
              without: ratioThrough({ ...veil, alpha: 0 }, extremes),
              through: ratioThrough(veil, extremes),
              alpha: veil.alpha,
            },
          ]
        : [];
    }),
  );
  return places.sort((one, other) => one.without - other.without)[0] ?? null;
}

/** Of a name over its picture on the wall; null where nothing is known of the picture yet. */
export function nameEndangered(picture: OverPicture, look: Look): Endangered | null {
  const map = picture.light ? lightMapFrom(picture.light) : null;
  if (!map) return null;
  const veil = nameVeil(picture, look);
  const extremes = extremesIn(map, underName);
  return {
    words: veil.words,
    needs: needs(look.comfort),
    without: ratioThrough({ ...veil, alpha: 0 }, extremes),
    through: ratioThrough(veil, extremes),
    alpha: veil.alpha,
  };
}
