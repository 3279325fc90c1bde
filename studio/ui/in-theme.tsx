import { createElement, type ReactNode } from 'react';
import type { ThemeName } from '#core/look/look.ts';
import { type Fetched, fetched } from './fetched.tsx';

const sheets: Record<ThemeName, () => Promise<unknown>> = {
  broadsheet: () =>
    Promise.all([import('#site/themes/broadsheet/fonts.css'), import('#site/themes/broadsheet/theme.css')]),
};

const known = new Map<ThemeName, Fetched<{ children: ReactNode }>>();

/** What draws once the sheets of a theme are here; those of the others are not fetched. */
function dressed(theme: ThemeName) {
  const made =
    known.get(theme) ??
    fetched(async () => {
      await sheets[theme]();
      return ({ children }: { children: ReactNode }) => children;
    });
  known.set(theme, made);
  return made;
}

/** Draws a page of the site in its theme. */
export const InTheme = ({ theme, children }: { theme: ThemeName; children: ReactNode }) =>
  createElement(dressed(theme), null, children);
