import {
  converter,
  differenceCiede2000,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  formatHex,
  modeLab65,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeRgb,
  modeXyz65,
  type Oklch,
  type Rgb,
  toGamut,
  useMode,
  wcagContrast,
  wcagLuminance,
} from 'culori/fn';

for (const mode of [modeRgb, modeLrgb, modeOklab, modeOklch, modeXyz65, modeLab65])
  useMode(mode as typeof modeRgb);

/** A colour of sRGB in eight bits a channel, as in `#1a2b3c`. */
export type Hex = string;

/** Lightness 0 to 1, chroma 0 to about 0.37, hue in degrees; CSS Color 4, section 9. */
export interface Lightness {
  l: number;
  c: number;
  h: number;
}

const toOklch = converter('oklch');
const toRgb = converter('rgb');
// Cuts chroma down until what is left to cut off cannot be told by eye: CSS Color 4, section 13.2, "CSS gamut mapping".
const intoRgb = toGamut('rgb', 'oklch');

/** Reads a colour; one without colour has the hue 0. */
export function oklchOf(colour: Hex): Lightness {
  const { l, c, h } = toOklch(colour) as Oklch;
  return { l, c, h: h ?? 0 };
}

/** The nearest colour that every screen shows: hue and lightness are kept as far as eyes can tell, chroma gives way. */
export function hexOf({ l, c, h }: Lightness): Hex {
  if (l >= 1) return '#ffffff';
  if (l <= 0) return '#000000';
  return formatHex(intoRgb({ mode: 'oklch', l, c: Math.max(0, c), h }));
}

/** From 1 to 21. Source: WCAG 2.2, "contrast ratio" and "relative luminance". */
export const contrast = (one: Hex, other: Hex): number => wcagContrast(one, other);

/** From 0 (black) to 1 (white). Source: WCAG 2.2, "relative luminance". */
export const luminance = (colour: Hex): number => wcagLuminance(colour);

const difference = differenceCiede2000();
// Machado, Oliveira, Fernandes: A Physiologically-based Model for Simulation of Color Vision Deficiency (2009), at full severity.
const sights = [
  (colour: Hex) => colour,
  ...[filterDeficiencyProt(1), filterDeficiencyDeuter(1), filterDeficiencyTrit(1)].map(
    (filter) => (colour: Hex) => formatHex(filter(toRgb(colour) as Rgb)),
  ),
];

/**
 * How far two colours are apart for whoever tells them apart least: with every cone, or without those for long, middle or short
 * waves. In CIEDE2000; about 1 is just seen side by side, 10 at a glance.
 */
export const leastDifference = (one: Hex, other: Hex): number =>
  Math.min(...sights.map((seen) => difference(seen(one), seen(other))));

const channels = (colour: Hex): number[] =>
  [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16) / 255);

/** What two colours make where one is printed over the other. Source: Compositing and Blending Level 1, section 10. */
export function blended(over: Hex, under: Hex, manner: 'multiply' | 'screen'): Hex {
  const below = channels(under);
  const mixed = channels(over).map((a, at) => {
    const b = below[at] ?? 0;
    return manner === 'multiply' ? a * b : a + b - a * b;
  });
  return `#${mixed
    .map((value) =>
      Math.round(value * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
}
