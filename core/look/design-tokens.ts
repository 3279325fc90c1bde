import { z } from 'zod';
import { oklchOf } from './colour.ts';
import { fontPairs } from './font-pairs.ts';
import { asTheThemeComes, type Look, lookSchema } from './look.ts';
import { fontsOf } from './fonts-of.ts';
import { coloursOf } from './look-rules.ts';
import { withGroundPicture } from './ground-picture.ts';
import { themeDefaults } from './theme-defaults.ts';

/** Under which our own keys stand; the format asks for a name that no other tool has. */
const ours = 'kite-wall.example';

const channels = (hex: string) =>
  [1, 3, 5].map((at) => Number((parseInt(hex.slice(at, at + 2), 16) / 255).toFixed(4)));
const colour = (hex: string) => ({
  $type: 'color' as const,
  $value: { colorSpace: 'srgb', components: channels(hex), hex },
});
const family = (stack: string) => ({
  $type: 'fontFamily' as const,
  $value: stack.split(',').map((one) => one.trim().replace(/^'|'$/g, '')),
});

/**
 * A look as a file that other tools read: its colours, fonts and sizes as tokens of the Design Tokens Community Group (format and
 * colour module, 2025.10), and the look itself, from which all of them follow, in `$extensions`.
 */
export function asDesignTokens(look: Look) {
  const palette = (scheme: 'light' | 'dark') =>
    Object.fromEntries(
      Object.entries(coloursOf(look, scheme).colours).map(([role, hex]) => [role, colour(hex)] as const),
    );
  const { display, text, meta } = fontPairs[fontsOf(look)];
  return {
    $description: 'A look of a Kite Wall site.',
    // A picture is its maker's and stays with their stock.
    $extensions: { [ours]: { look: withGroundPicture(look, () => false) } },
    color: { light: palette('light'), dark: palette('dark') },
    font: { display: family(display), text: family(text), meta: family(meta) },
    size: {
      text: { $type: 'number' as const, $value: look.textSize },
      spacing: { $type: 'number' as const, $value: look.spacing },
      corners: {
        $type: 'dimension' as const,
        $value: { value: look.corners ?? themeDefaults[look.theme].corners, unit: 'px' },
      },
    },
  };
}

const group = z.record(z.string(), z.unknown());
/** A colour as the format has it now, and as drafts of it had it. */
const colourValue = z.union([
  z.string().regex(/^#[0-9a-f]{6}/i),
  z.object({ hex: z.string().regex(/^#[0-9a-f]{6}/i) }),
  z
    .object({ colorSpace: z.literal('srgb'), components: z.tuple([z.number(), z.number(), z.number()]) })
    .transform(({ components }) => ({
      hex: `#${components
        .map((part) =>
          Math.round(Math.min(1, Math.max(0, part)) * 255)
            .toString(16)
            .padStart(2, '0'),
        )
        .join('')}`,
    })),
]);

/** Every colour in a file of tokens, by its path; a group may say the type for all in it. */
function coloursIn(tokens: Record<string, unknown>, inherited = '', path = ''): [string, string][] {
  const type = typeof tokens.$type === 'string' ? tokens.$type : inherited;
  if ('$value' in tokens) {
    const value = type === 'color' ? colourValue.safeParse(tokens.$value) : null;
    if (!value?.success) return [];
    const hex = typeof value.data === 'string' ? value.data : value.data.hex;
    return [[path, hex.slice(0, 7).toLowerCase()]];
  }
  return Object.entries(tokens).flatMap(([name, inner]) => {
    const below = name.startsWith('$') ? null : group.safeParse(inner);
    return below?.success ? coloursIn(below.data, type, `${path}/${name.toLowerCase()}`) : [];
  });
}

export type ReadTokens = { look: Look; from: 'a look' | 'colours' } | { problem: string };

/**
 * Reads a look out of a file. One of ours comes back whole. Of any other file of tokens the seeds are taken: colours that are
 * called after what they are for (brand, primary, accent), or else the most colourful ones.
 *
 * @param now the look that gets the seeds, where there is no more than colours
 */
export function fromDesignTokens(text: string, now: Look): ReadTokens {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    return { problem: 'This file is not JSON, which looks are kept in. Nothing was changed.' };
  }
  const tokens = group.safeParse(parsed);
  if (!tokens.success) return { problem: 'This file holds no look and no colours. Nothing was changed.' };
  const own = z
    .object({ look: z.unknown() })
    .safeParse(group.safeParse(tokens.data.$extensions).data?.[ours]);
  if (own.success) {
    const look = lookSchema.safeParse(own.data.look);
    if (look.success) return { look: look.data, from: 'a look' };
    return { problem: 'This look is of a newer version, or was changed by hand. Nothing was changed.' };
  }
  const all = coloursIn(tokens.data);
  if (all.length === 0) return { problem: 'This file holds no look and no colours. Nothing was changed.' };
  const byName = (...names: string[]) => all.filter(([path]) => names.some((name) => path.includes(name)));
  const colourful = [...all].sort(([, one], [, other]) => oklchOf(other).c - oklchOf(one).c);
  const [first] = [...byName('brand', 'primary'), ...byName('accent'), ...colourful];
  const [second] = [...byName('secondary', 'accent'), ...colourful].filter(([, hex]) => hex !== first?.[1]);
  return {
    look: {
      ...asTheThemeComes,
      ...now,
      seeds: { first: first?.[1] ?? null, second: second?.[1] ?? null },
    },
    from: 'colours',
  };
}
