import type { Site } from '../sites/site.ts';
import { type Look } from './look.ts';
import { themeDefaults } from './theme-defaults.ts';
import type { ThemeName } from './theme-names.ts';

/** What changes of a site that takes another theme. */
export type ThemeChange = Pick<Site, 'look'> & Partial<Pick<Site, 'menu' | 'wall'>>;

/**
 * Another theme: everything a maker chose stays as it is, and what was as the old theme has it is as the new one has it; that holds
 * for the manner of the menu and of the wall as well.
 */
export function themeChange(site: Pick<Site, 'look' | 'menu' | 'wall'>, theme: ThemeName): ThemeChange {
  const [old, next] = [themeDefaults[site.look.theme], themeDefaults[theme]];
  const look: Look = { ...site.look, theme };
  return {
    look,
    ...(site.menu === old.menu && { menu: next.menu }),
    ...(site.wall === old.wall && { wall: next.wall }),
  };
}
