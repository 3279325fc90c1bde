import { fontsOf } from './fonts-of.ts';
import type { Hex } from './colour.ts';
import { fontPairs } from './font-pairs.ts';
import type { Look } from './look.ts';
import { type Palette, paletteOf } from './palette.ts';
import { recipes } from './recipes/recipes.ts';
import { textureDrawings } from './texture-drawings.ts';
import { themeDefaults } from './theme-defaults.ts';
import type { Role, Scheme } from './theme-colours.ts';

/** In which light a look is. */
export const schemeOf = ({ scheme, theme }: Look) => scheme ?? recipes[theme].scheme;

/** Palettes that were asked for last: of one look, several are asked for again and again. */
const known = new Map<string, Palette>();
const mostKnown = 64;

/** The colours of a look in one scheme. */
export function coloursOf({ theme, seeds, ground, comfort }: Look, scheme: Scheme): Palette {
  const choice = { theme, seeds, ground: ground.colour, comfort, onPicture: ground.picture !== null };
  const key = JSON.stringify([choice, scheme]);
  const palette = known.get(key) ?? paletteOf(choice, scheme);
  known.delete(key);
  known.set(key, palette);
  for (const [oldest] of known) {
    if (known.size <= mostKnown) break;
    known.delete(oldest);
  }
  return palette;
}

const declared = (properties: readonly (readonly [string, string])[]): string =>
  properties.map(([name, value]) => `--${name}:${value}`).join(';');

type Declared = [Role, Hex][];
const coloursIn = (look: Look, scheme: Scheme) => Object.entries(coloursOf(look, scheme).colours) as Declared;

/** By day inks darken the paper they are printed on, by night lights lighten it. */
const inksBy = {
  light: { blend: 'multiply', 'print-light': 'screen', night: '0' },
  dark: { blend: 'screen', 'print-light': 'multiply', night: '1' },
} as const satisfies Record<Scheme, Record<string, string>>;

/** What is otherwise than among others. */
const besides = (all: Declared, known: Declared): Declared =>
  all.filter(([role, colour]) => known.every(([one, other]) => one !== role || other !== colour));

/**
 * Around a picture: nothing, a line, a mount or a shadow. The mount's width is a length and never nothing, so that sums with it hold.
 */
const edgeProperties = {
  none: { 'edge-line': '0 solid', 'edge-mount': '0px', 'edge-shadow': 'none' },
  line: { 'edge-line': '1px solid var(--line-2)', 'edge-mount': '0px', 'edge-shadow': 'none' },
  mount: { 'edge-line': '1px solid var(--line-2)', 'edge-mount': '5px', 'edge-shadow': 'none' },
  shadow: {
    'edge-line': '0 solid',
    'edge-mount': '0px',
    'edge-shadow': '0 .35rem 1.4rem -.35rem rgb(0 0 0/.35)',
  },
} as const;

/** What of a look is the same in every light. */
function shapeOf(look: Look): [string, string][] {
  const usual = themeDefaults[look.theme];
  const { display, text, meta, properties } = fontPairs[fontsOf(look)];
  const { 'pair-size': pairSize = '1', ...type }: Record<string, string> = properties;
  const corners = look.corners ?? usual.corners;
  return [
    ['font-display', display],
    ['font-text', text],
    ['font-meta', meta],
    ...Object.entries(type),
    ['text-size', String(Number((Number(pairSize) * look.textSize).toFixed(3)))],
    ['space', String(Number((usual.spacing * look.spacing).toFixed(3)))],
    ['r', `${corners}px`],
    // Small things are as round as they can be where large ones are round at all.
    ['r-s', corners >= 16 ? '999px' : `${Math.min(corners, 6)}px`],
    ...Object.entries(edgeProperties[look.edge ?? usual.edge]),
    ['texture', textureDrawings[look.ground.texture ?? usual.texture]],
  ];
}

/** All custom properties of a look in one light, with `color-scheme`, for an element of its own. */
export function lookProperties(look: Look, scheme: Scheme): Record<string, string> {
  const all = [...shapeOf(look), ...Object.entries(inksBy[scheme]), ...coloursIn(look, scheme)];
  return { 'color-scheme': scheme, ...Object.fromEntries(all.map(([name, value]) => [`--${name}`, value])) };
}

/**
 * The rules of a look, to be read after its theme's sheet: all its custom properties, in the light it is in. Whoever asks the
 * browser for more contrast gets the colours of AAA.
 *
 * @param at a selector with the weight of two classes or more, so that it wins over the theme's sheet
 */
export function lookRules(look: Look, at: string): string {
  const light = schemeOf(look);
  const first: Scheme = light === 'device' ? 'light' : light;
  const clearer: Look = { ...look, comfort: 'AAA' };
  const base = coloursIn(look, first);
  const rules = [
    `${at}{color-scheme:${first};${declared([...shapeOf(look), ...Object.entries(inksBy[first]), ...base])}}`,
  ];
  const media = (query: string, inner: string) => rules.push(`@media ${query}{${inner}}`);
  const more = besides(coloursIn(clearer, first), base);
  if (more.length > 0) media('(prefers-contrast:more)', `${at}{${declared(more)}}`);
  if (light === 'device') {
    const night = coloursIn(look, 'dark');
    media(
      '(prefers-color-scheme:dark)',
      `${at}{color-scheme:dark;${declared([...Object.entries(inksBy.dark), ...besides(night, base)])}}`,
    );
    // All that could still be of the light one, or of the usual night.
    const clear = coloursIn(clearer, 'dark');
    const changed = new Set([...more, ...besides(clear, night)].map(([role]) => role));
    const both = clear.filter(([role]) => changed.has(role));
    if (both.length > 0)
      media('(prefers-contrast:more) and (prefers-color-scheme:dark)', `${at}{${declared(both)}}`);
  }
  return `@layer site{${rules.join('')}}`;
}
