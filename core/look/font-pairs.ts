import type { FontPairName } from './font-pair-names.ts';

/** What of a pair of fonts sheets read; each is a custom property. */
export interface FontPair {
  /** As a maker reads it, and how its headings and its words look. */
  label: string;
  manner: string;
  display: string;
  text: string;
  meta: string;
  /** The lightest and the heaviest weight in use; files are cut down to what is between. */
  weights: readonly [number, number];
  /** How wide letters may be set; 100 % where the font knows one width. */
  widths?: readonly [number, number];
  /** The size in points that large words are drawn for, where the fonts are drawn for several. */
  opticalSize?: number;
  /** Drawn for a few large words; many of them in a row are hard to read. */
  forFewWords: boolean;
  properties: Record<string, string>;
}

const serif = 'Georgia, serif';
const sans = 'Arial, sans-serif';

/** Each pair of fonts. */
export const fontPairs = {
  newsprint: {
    label: 'Newsprint',
    manner: 'bookish heads, bookish words',
    display: `'Newsreader Variable', ${serif}`,
    text: `'Newsreader Variable', ${serif}`,
    meta: `'Instrument Sans Variable', ${sans}`,
    weights: [300, 650],
    opticalSize: 48,
    forFewWords: false,
    properties: {
      'display-wght': '400',
      'heading-wght': '500',
      'card-wght': '500',
      'display-track': '-0.022em',
      'display-leading': '1.02',
      'display-size': '1.14',
      'h1-max': '18ch',
      measure: '30em',
      leading: '1.46',
      'pair-size': '1.1',
    },
  },
  lantern: {
    label: 'Lantern',
    manner: 'fine heads, plain words',
    display: `'Petrona Variable', ${serif}`,
    text: `'Figtree Variable', ${sans}`,
    meta: `'Figtree Variable', ${sans}`,
    weights: [300, 650],
    forFewWords: false,
    properties: {
      'display-wght': '300',
      'heading-wght': '350',
      'card-wght': '400',
      'display-track': '-0.018em',
      'display-leading': '1.04',
      'display-size': '1.25',
      'head-size': '1.1',
      'h1-max': '18ch',
      measure: '31em',
      leading: '1.6',
      'text-wght': '370',
    },
  },
  signpost: {
    label: 'Signpost',
    manner: 'broad heads, plain words',
    display: `'Archivo Variable', ${sans}`,
    text: `'Archivo Variable', ${sans}`,
    meta: `'Archivo Variable', ${sans}`,
    weights: [400, 820],
    widths: [100, 125],
    forFewWords: false,
    properties: {
      'display-wght': '820',
      'display-wdth': '122%',
      'card-wght': '820',
      'display-track': '-0.035em',
      'display-leading': '0.96',
      'display-size': '1.06',
      'head-size': '1.02',
      'h1-max': '13ch',
      measure: '32em',
      leading: '1.48',
    },
  },
  drawing: {
    label: 'Drawing',
    manner: 'plain heads, words clear at any size',
    display: `'Familjen Grotesk Variable', ${sans}`,
    text: `'Atkinson Hyperlegible Next Variable', ${sans}`,
    meta: `'Atkinson Hyperlegible Mono Variable', Consolas, monospace`,
    weights: [400, 700],
    forFewWords: false,
    properties: {
      'display-wght': '600',
      'card-wght': '600',
      'display-track': '-0.012em',
      'display-leading': '1.08',
      'display-size': '0.72',
      'head-size': '0.88',
      'h1-max': '30ch',
      measure: '31em',
      leading: '1.5',
      'pair-size': '0.97',
      'meta-track': '-0.02em',
    },
  },
  kite: {
    label: 'Kite',
    manner: 'lively heads, plain words',
    display: `'Bricolage Grotesque Variable', ${sans}`,
    text: `'Hanken Grotesk Variable', ${sans}`,
    meta: `'Hanken Grotesk Variable', ${sans}`,
    weights: [400, 700],
    forFewWords: false,
    properties: {
      'display-wght': '640',
      'card-wght': '640',
      'display-track': '-0.028em',
      'display-leading': '1.02',
      'display-size': '1.06',
      'h1-max': '17ch',
      measure: '31em',
      leading: '1.56',
    },
  },
  poster: {
    label: 'Poster',
    manner: 'tall heads, sturdy words',
    display: `'Big Shoulders Variable', Impact, sans-serif`,
    text: `'Bitter Variable', ${serif}`,
    meta: `'Bitter Variable', ${serif}`,
    weights: [400, 850],
    forFewWords: true,
    properties: {
      'display-wght': '820',
      'heading-wght': '800',
      'card-wght': '800',
      'display-track': '-0.006em',
      'display-leading': '0.9',
      'display-size': '1.75',
      'head-size': '1.42',
      'h1-max': '24ch',
      measure: '31em',
      leading: '1.56',
      'pair-size': '0.97',
    },
  },
  almanac: {
    label: 'Almanac',
    manner: 'sturdy heads, plain words',
    display: `'Bitter Variable', ${serif}`,
    text: `'Instrument Sans Variable', ${sans}`,
    meta: `'Instrument Sans Variable', ${sans}`,
    weights: [400, 700],
    forFewWords: false,
    properties: {
      'display-wght': '600',
      'card-wght': '600',
      'display-track': '-0.02em',
      'display-leading': '1.08',
      'display-size': '0.94',
      'h1-max': '18ch',
      measure: '31em',
      leading: '1.55',
    },
  },
  typed: {
    label: 'Typed',
    manner: 'heads from a machine, words clear at any size',
    display: `'JetBrains Mono Variable', Consolas, monospace`,
    text: `'Atkinson Hyperlegible Next Variable', ${sans}`,
    meta: `'JetBrains Mono Variable', Consolas, monospace`,
    weights: [400, 700],
    forFewWords: false,
    properties: {
      'display-wght': '600',
      'card-wght': '600',
      'display-track': '-0.045em',
      'display-leading': '1.12',
      'display-size': '0.7',
      'head-size': '0.82',
      'h1-max': '22ch',
      measure: '31em',
      leading: '1.52',
      'meta-track': '-0.03em',
    },
  },
} as const satisfies Record<FontPairName, FontPair>;
