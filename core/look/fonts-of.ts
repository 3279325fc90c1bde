import type { Look } from './look.ts';
import { themeDefaults } from './theme-defaults.ts';

/** The pair of fonts a look is set in: its own, else that of its theme. */
export const fontsOf = ({ fonts, theme }: Pick<Look, 'fonts' | 'theme'>) =>
  fonts ?? themeDefaults[theme].fonts;
