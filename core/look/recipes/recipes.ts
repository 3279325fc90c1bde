import type { ThemeName } from '../theme-names.ts';
import type { ThemeColours } from '../theme-colours.ts';
import { broadsheet } from './broadsheet.ts';
import { chalkline } from './chalkline.ts';
import { fairwind } from './fairwind.ts';
import { lamplight } from './lamplight.ts';
import { overprint } from './overprint.ts';
import { signal } from './signal.ts';

/** The colours of every theme. */
export const recipes: Record<ThemeName, ThemeColours> = {
  broadsheet,
  lamplight,
  signal,
  chalkline,
  fairwind,
  overprint,
};
