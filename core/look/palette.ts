import { contrast, type Hex, hexOf, leastDifference, type Lightness, oklchOf } from './colour.ts';
import { type Comfort, needed } from './comfort.ts';
import { groundFor, ratioOn, readable, type StandsOn } from './readable.ts';
import { recipes } from './recipes/recipes.ts';
import {
  type ColourPair,
  commonPairs,
  type Role,
  type Scheme,
  type ThemeColour,
  type ThemeColours,
  toldApart,
} from './theme-colours.ts';
import type { ThemeName } from './theme-names.ts';

/** What a maker says of the colours of a look. */
export interface ColourChoice {
  theme: ThemeName;
  /** Null: the theme's own. */
  seeds: { first: Hex | null; second: Hex | null };
  /** What the page lies on; null: the theme's own. */
  ground: Hex | null;
  comfort: Comfort;
  /** The page lies on a picture; see `veilOfGround`. */
  onPicture: boolean;
}

export type Colours = Partial<Record<Role, Hex>>;

/**
 * Why the colour of what stands there was changed: for its ratio here; for its ratio on another ground; since it was like a colour that
 * says something else; or so that more comes through of a picture the page lies on.
 */
export type Why = 'here' | 'elsewhere' | 'alike' | 'picture';

/** A pair as it came out. */
export interface MeasuredPair extends ColourPair {
  /** As drawn. */
  colours: { text: Hex; ground: Hex };
  ratio: number;
  needs: number;
  /** What the colour of what stands there was before it was made readable; null where nothing had to change. */
  before: { text: Hex; ratio: number; why: Why } | null;
}

export interface Palette {
  colours: Colours;
  pairs: MeasuredPair[];
}

/** At most so many times as colourful as in the seed the theme comes with, or a tint of a grey would be a glaring one. */
const mostColourful = 1.7;

/** How a colour of a theme follows other seeds than those the theme comes with. */
function seeded(
  colour: ThemeColour,
  scheme: Scheme,
  recipe: ThemeColours,
  seeds: ColourChoice['seeds'],
): Hex {
  const which = colour.from.endsWith('first') ? 'first' : 'second';
  const chosen = seeds[which];
  if (colour.from === 'own' || !chosen || chosen === recipe.seeds[which]) return colour[scheme];
  const seed = oklchOf(chosen);
  const usual = oklchOf(recipe.seeds[which]);
  const own = oklchOf(colour[scheme]);
  const turned = (seed.h + (own.h - usual.h) + 360) % 360;
  const colourful = usual.c > 0.01 ? Math.min(seed.c / usual.c, mostColourful) : 1;
  // A seed stands for itself in the scheme it was chosen for; in the other it is as far from the middle as the theme's own is.
  const isSeed = colour.from.startsWith('is') && Math.abs(own.l - usual.l) < 0.12;
  const next: Lightness = isSeed
    ? { l: seed.l + (own.l - usual.l), c: seed.c, h: seed.h }
    : { l: own.l, c: own.c * colourful, h: colour.from.startsWith('is') ? seed.h : turned };
  return hexOf(next);
}

/** What the page itself is made of. */
const sheets: readonly Role[] = ['paper', 'paper-2', 'card', 'sky', 'dusk'];

/** How much a sheet must leave between itself and black or white, or all that stands on it would be the same black or white. */
const roomFor: Record<Comfort, number> = { AA: 9, AAA: 13 };

/** So many times as much as the comfort asks for, on a page that lies on a picture: what is left over lets the picture through. */
const sparePicture = 1.5;

/** The same of an ink that another one is printed over: what both make must still be told from it. */
const roomForPrint = 7.5;

/** How the sheets of a theme follow a ground that was chosen for the page. */
function onGround(role: Role, scheme: Scheme, recipe: ThemeColours, ground: Hex): Hex | null {
  const own = recipe.colours[role];
  if (!own || !sheets.includes(role)) return null;
  const chosen = oklchOf(ground);
  const paper = oklchOf(recipe.colours.paper[scheme]);
  const { l, c } = oklchOf(own[scheme]);
  // Chosen for the scheme it belongs to; in the other one only its hue is left of it.
  const belongs = chosen.l >= 0.5 === (scheme === 'light');
  const next = belongs ? chosen.l + (l - paper.l) : l;
  return hexOf({ l: next, c: belongs ? chosen.c : Math.min(chosen.c, Math.max(c, 0.035)), h: chosen.h });
}

/** Grounds, which stay as they are wherever something can be read on them. */
const isGround = (role: Role, pairs: readonly ColourPair[]): boolean =>
  pairs.some(({ ground }) => ground === role) && !pairs.some(({ text }) => text === role);

/**
 * The colours of a look in one scheme. Every pair reaches what the comfort asks for, by the smallest change of lightness of what
 * stands on the ground; only a ground on which nothing could be read is changed itself.
 */
export function paletteOf(
  { theme, seeds, ground, comfort, onPicture }: ColourChoice,
  scheme: Scheme,
): Palette {
  const recipe = recipes[theme];
  const pairs = [...commonPairs, ...recipe.pairs];
  const leastOf = ({ kind }: ColourPair) => needed[comfort][kind];
  const needs = (pair: ColourPair) =>
    leastOf(pair) * (onPicture && pair.ground === 'paper' ? sparePicture : 1);
  const manner = scheme === 'light' ? 'multiply' : 'screen';
  const roles = Object.keys(recipe.colours) as Role[];
  const wanted: Colours = {};
  for (const role of roles) {
    const colour = recipe.colours[role];
    if (colour)
      wanted[role] =
        (ground && onGround(role, scheme, recipe, ground)) ?? seeded(colour, scheme, recipe, seeds);
  }
  const made: Colours = { ...wanted };
  const at = (from: Colours, role: Role): Hex => from[role] ?? '#000000';

  // Grounds first. Those that share what stands on them lie on the same side of the middle.
  for (const role of roles.filter((one) => isGround(one, pairs))) {
    const on = pairs.filter(({ ground, printed }) => ground === role && !printed);
    let most = Math.max(...on.map(needs), sheets.includes(role) ? roomFor[comfort] : 0);
    const shared = on.some(({ text }) =>
      pairs.some((pair) => pair.text === text && pair.ground !== role && isGround(pair.ground, pairs)),
    );
    const end = scheme === 'light' ? '#000000' : '#ffffff';
    const printed = pairs.some((pair) => pair.ground === role && pair.printed);
    if (printed) most = Math.max(most, roomForPrint);
    made[role] = groundFor(at(made, role), most, shared || printed ? end : undefined);
  }
  // Then what stands on them, and what stands on that.
  const placeOf = (pair: ColourPair): StandsOn => ({
    ground: at(made, pair.ground),
    needs: needs(pair),
    ...(pair.printed && { manner }),
  });
  const placesOf = (role: Role) => pairs.filter(({ text }) => text === role).map(placeOf);
  const standing = roles.filter((role) => pairs.some(({ text }) => text === role));
  const last = (role: Role) => pairs.some(({ text, ground }) => text === role && !isGround(ground, pairs));
  for (const role of [...standing.filter((one) => !last(one)), ...standing.filter(last)]) {
    const found = readable(at(made, role), placesOf(role));
    if (found) made[role] = found;
    else throw new RangeError(`Nothing can be read as ${role} in ${theme}, ${scheme}.`);
  }
  const clear = { ...made };
  for (const [one, other] of toldApart) made[one] = apart(at(made, one), at(made, other), placesOf(one));

  /** Whether a colour as it was wanted misses what WCAG asks for, somewhere. */
  const misses = (role: Role): boolean =>
    pairs.some((pair) => pair.text === role && ratioOn(at(wanted, role), placeOf(pair)) < leastOf(pair));
  const whyOf = (pair: ColourPair, ratio: number): Why => {
    if (ratio < leastOf(pair)) return 'here';
    if (at(made, pair.text) !== at(clear, pair.text)) return 'alike';
    return misses(pair.text) ? 'elsewhere' : 'picture';
  };
  return {
    colours: made,
    pairs: pairs.map((pair) => {
      const place = placeOf(pair);
      const ratioBefore = ratioOn(at(wanted, pair.text), place);
      const [text, before] = [at(made, pair.text), at(wanted, pair.text)];
      return {
        ...pair,
        colours: { text, ground: place.ground },
        ratio: ratioOn(text, place),
        needs: leastOf(pair),
        before: text === before ? null : { text: before, ratio: ratioBefore, why: whyOf(pair, ratioBefore) },
      };
    }),
  };
}

/** Seen at a glance also by those who lack a kind of cone; in CIEDE2000. */
export const atAGlance = 10;

/** The colour nearest to one that is told apart from another by everybody and still stands out where it stands. */
function apart(colour: Hex, from: Hex, places: readonly StandsOn[]): Hex {
  if (leastDifference(colour, from) >= atAGlance) return colour;
  const start = oklchOf(colour);
  // Half a turn at most: one that leads somewhere and one that went wrong are not the same red.
  for (let step = 1; step <= 18; step++)
    for (const turn of [step * 10, -step * 10]) {
      const turned = readable(hexOf({ ...start, h: start.h + turn, c: Math.max(start.c, 0.12) }), places);
      if (turned && leastDifference(turned, from) >= atAGlance) return turned;
    }
  for (let step = 1; step <= 40; step++)
    for (const by of [step / 50, -step / 50]) {
      const l = start.l + by;
      if (l <= 0 || l >= 1) continue;
      const moved = hexOf({ ...start, l });
      if (
        places.every(({ ground, needs }) => contrast(moved, ground) >= needs) &&
        leastDifference(moved, from) >= atAGlance
      )
        return moved;
    }
  return colour;
}
