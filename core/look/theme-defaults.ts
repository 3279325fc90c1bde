import type { MenuManner } from '../menu/menu-manner.ts';
import type { WallArrangement } from '../sites/wall-arrangement.ts';
import type { FontPairName } from './font-pair-names.ts';
import type { Edge } from './look.ts';
import type { Texture } from './textures.ts';
import type { ThemeName } from './theme-names.ts';

/** How a theme comes, as far as makers may have it otherwise. */
export interface ThemeDefaults {
  fonts: FontPairName;
  spacing: number;
  /** In CSS pixels. */
  corners: number;
  edge: Edge;
  texture: Texture;
  menu: MenuManner;
  wall: WallArrangement;
}

export const themeDefaults: Record<ThemeName, ThemeDefaults> = {
  broadsheet: {
    ...{ fonts: 'newsprint', spacing: 1, corners: 0, edge: 'none', texture: 'none' },
    ...{ menu: 'line', wall: 'rows' },
  },
  lamplight: {
    ...{ fonts: 'lantern', spacing: 1.25, corners: 2, edge: 'none', texture: 'none' },
    ...{ menu: 'word', wall: 'rows' },
  },
  signal: {
    ...{ fonts: 'signpost', spacing: 1, corners: 0, edge: 'none', texture: 'none' },
    ...{ menu: 'line', wall: 'rows' },
  },
  chalkline: {
    ...{ fonts: 'drawing', spacing: 0.86, corners: 0, edge: 'mount', texture: 'none' },
    ...{ menu: 'side', wall: 'list' },
  },
  fairwind: {
    ...{ fonts: 'kite', spacing: 1.12, corners: 28, edge: 'none', texture: 'none' },
    ...{ menu: 'line', wall: 'rows' },
  },
  overprint: {
    ...{ fonts: 'poster', spacing: 1.08, corners: 0, edge: 'none', texture: 'none' },
    ...{ menu: 'word', wall: 'one' },
  },
};
