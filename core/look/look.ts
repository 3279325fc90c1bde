import { z } from 'zod';
import { idSchema } from '../id.ts';
import { openingLayouts } from '../pages/opening.ts';
import { comforts } from './comfort.ts';
import { fontPairNames } from './font-pair-names.ts';
import { textures } from './textures.ts';
import { themeNames } from './theme-names.ts';

/** In which light a page is: always the same, or as the reader's device has it. */
export const schemeChoices = ['light', 'dark', 'device'] as const;
/** What lies around a picture. */
export const edges = ['none', 'line', 'mount', 'shadow'] as const;
export type Edge = (typeof edges)[number];

/** A colour as makers give it, of eight bits a channel. */
export const hexSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}$/i, 'A colour is written as # and six digits, as in #3c6e71.')
  .toLowerCase();

/** All that decides how a site looks, and nothing of what it says. Null: as the theme comes. */
export const lookSchema = z.object({
  theme: z.enum(themeNames),
  seeds: z.object({ first: hexSchema.nullable(), second: hexSchema.nullable() }),
  scheme: z.enum(schemeChoices).nullable(),
  comfort: z.enum(comforts),
  fonts: z.enum(fontPairNames).nullable(),
  /** Times as large as the theme has words. */
  textSize: z.number().min(0.9).max(1.3),
  /** Times as far apart as the theme has things. */
  spacing: z.number().min(0.8).max(1.3),
  /** How round corners are, in CSS pixels. */
  corners: z.number().int().min(0).max(36).nullable(),
  edge: z.enum(edges).nullable(),
  ground: z.object({
    colour: hexSchema.nullable(),
    texture: z.enum(textures).nullable(),
    /** A picture of the maker's, behind as much of the ground's colour as words on it need. */
    picture: idSchema.nullable().default(null),
  }),
  /** How every page opens; null: as each page says. */
  opening: z.enum(openingLayouts).nullable().default(null),
});
export type Look = z.infer<typeof lookSchema>;

/** What a theme looks like as it comes. */
export const asTheThemeComes: Omit<Look, 'theme'> = {
  seeds: { first: null, second: null },
  scheme: null,
  comfort: 'AA',
  fonts: null,
  textSize: 1,
  spacing: 1,
  corners: null,
  edge: null,
  ground: { colour: null, texture: null, picture: null },
  opening: null,
};

/** The look of a new site. */
export const firstLook: Look = { theme: 'broadsheet', ...asTheThemeComes };
