import { z } from 'zod';

/** Themes by name; each is a folder of `site/themes`. */
export const themeNames = ['broadsheet'] as const;
export type ThemeName = (typeof themeNames)[number];

/** All that decides how a site looks, and nothing of what it says. */
export const lookSchema = z.object({ theme: z.enum(themeNames) });
export type Look = z.infer<typeof lookSchema>;

/** The look of a new site. */
export const firstLook: Look = { theme: 'broadsheet' };
