import { blended, contrast, type Hex, hexOf, type Lightness, oklchOf } from './colour.ts';

/** A ground that something has to stand out from, and by how much. */
export interface StandsOn {
  ground: Hex;
  /** WCAG contrast ratio, 1 to 21. */
  needs: number;
  /** Where it is printed over the ground and not laid on it. */
  manner?: 'multiply' | 'screen';
}

/** What something on a ground looks like there. */
const onGround = (colour: Hex, { ground, manner }: StandsOn): Hex =>
  manner ? blended(colour, ground, manner) : colour;

/** The ratio of a colour on a ground. */
export const ratioOn = (colour: Hex, place: StandsOn): number =>
  contrast(onGround(colour, place), place.ground);

const holds = (colour: Hex, places: readonly StandsOn[]): boolean =>
  places.every((place) => ratioOn(colour, place) >= place.needs);

/** Half a step of what eight bits can tell. */
const fine = 1 / 1024;

/**
 * The same hue as dark or as light as it must be to stand out everywhere, by the smallest change of lightness; null where
 * not even black or white would.
 */
export function readable(start: Hex, places: readonly StandsOn[]): Hex | null {
  if (holds(start, places)) return start;
  const colour = oklchOf(start);
  const found = [moved(colour, 0, places), moved(colour, 1, places)].filter((one) => one !== null);
  found.sort((a, b) => Math.abs(a.l - colour.l) - Math.abs(b.l - colour.l));
  return found[0] ? hexOf(found[0]) : null;
}

/** By how much the place that needs most is missed (below 0) or exceeded. */
const margin = (colour: Hex, places: readonly StandsOn[]): number =>
  Math.min(...places.map((place) => ratioOn(colour, place) / place.needs - 1));

/**
 * The nearest of its hue towards black (0) or white (1) that holds. Past a certain lightness all do, and the margin grows steadily: it
 * is found by the false position method in its Illinois form (Dowell and Jarratt, 1971), in about half the steps of halving.
 */
function moved(colour: Lightness, end: 0 | 1, places: readonly StandsOn[]): Lightness | null {
  const at = (l: number) => margin(hexOf({ ...colour, l }), places);
  let [fails, does] = [colour.l, end as number];
  let [low, high] = [at(fails), at(does)];
  if (high < 0) return null;
  let last: 'fails' | 'does' | null = null;
  while (Math.abs(does - fails) > fine) {
    const guess = fails + ((does - fails) * low) / (low - high);
    // Never so near to either side that nothing is learnt.
    const inset = Math.sign(does - fails) * Math.min(fine, Math.abs(does - fails) / 2) * 0.9;
    const l = Math.min(
      Math.max(guess, Math.min(fails, does) + Math.abs(inset)),
      Math.max(fails, does) - Math.abs(inset),
    );
    const value = at(l);
    if (value < 0) {
      [fails, low] = [l, value];
      if (last === 'fails') high /= 2;
      last = 'fails';
    } else {
      [does, high] = [l, value];
      if (last === 'does') low /= 2;
      last = 'does';
    }
  }
  return { ...colour, l: does };
}

/**
 * A ground on which black or white reaches a ratio, by the smallest change of lightness: on what is half dark neither reaches
 * more than 4.58.
 *
 * @param towards the end at which what stands on it is to be found, if that is settled
 */
export function groundFor(start: Hex, needs: number, towards?: Hex): Hex {
  const fits = (ground: Hex) =>
    (towards ? [towards] : ['#000000', '#ffffff']).some((end) => contrast(ground, end) >= needs);
  if (fits(start)) return start;
  const colour = oklchOf(start);
  const ends = ([0, 1] as const).map((end) => {
    let fails = colour.l;
    let does = end as number;
    while (Math.abs(does - fails) > fine) {
      const middle = (does + fails) / 2;
      if (fits(hexOf({ ...colour, l: middle }))) does = middle;
      else fails = middle;
    }
    return { ...colour, l: does };
  });
  ends.sort((a, b) => Math.abs(a.l - colour.l) - Math.abs(b.l - colour.l));
  const [near, far] = ends.filter((one) => fits(hexOf(one)));
  const one = near ?? far;
  if (!one) throw new RangeError(`No ground holds a ratio of ${needs}.`);
  return hexOf(one);
}
