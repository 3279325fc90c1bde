import { type ComponentProps, createElement, Fragment, type ReactNode, useContext, useMemo } from 'react';
import type { FontPairName } from '#core/look/font-pair-names.ts';
import type { Look } from '#core/look/look.ts';
import { fontsOf, lookRules } from '#core/look/look-rules.ts';
import type { Scheme } from '#core/look/theme-colours.ts';
import type { ThemeName } from '#core/look/theme-names.ts';
import { LookScopeContext } from '#site/render/look-scope.ts';
import { type Fetched, fetched } from './fetched.tsx';

const sheets: Record<ThemeName, () => Promise<unknown>> = {
  broadsheet: () => import('#site/themes/broadsheet/theme.css'),
  lamplight: () => import('#site/themes/lamplight/theme.css'),
  signal: () => import('#site/themes/signal/theme.css'),
  chalkline: () => import('#site/themes/chalkline/theme.css'),
  fairwind: () => import('#site/themes/fairwind/theme.css'),
  overprint: () => import('#site/themes/overprint/theme.css'),
};

const fonts: Record<FontPairName, () => Promise<unknown>> = {
  newsprint: () => import('#site/fonts/newsprint.css'),
  lantern: () => import('#site/fonts/lantern.css'),
  signpost: () => import('#site/fonts/signpost.css'),
  drawing: () => import('#site/fonts/drawing.css'),
  kite: () => import('#site/fonts/kite.css'),
  poster: () => import('#site/fonts/poster.css'),
  almanac: () => import('#site/fonts/almanac.css'),
  typed: () => import('#site/fonts/typed.css'),
};

/** Makes a pair of fonts known to the browser, which fetches of it what is drawn. */
export const fetchFonts = (pair: FontPairName): Promise<unknown> => fonts[pair]();

const known = new Map<string, Fetched<{ children: ReactNode }>>();

/** What draws once the sheets of a theme and its fonts are here; those of the others are not fetched. */
function dressed(theme: ThemeName, pair: FontPairName) {
  const key = `${theme} ${pair}`;
  const made =
    known.get(key) ??
    fetched(async () => {
      await Promise.all([sheets[theme](), fonts[pair]()]);
      return ({ children }: { children: ReactNode }) => children;
    });
  known.set(key, made);
  return made;
}

/** Names of looks that are drawn, by what they are; a page finds its own rules by it. */
const scopes = new Map<string, string>();
function scopeOf(look: Look, scheme: Scheme | undefined): string {
  const key = JSON.stringify([look, scheme]);
  const scope = scopes.get(key) ?? `l${scopes.size}`;
  scopes.set(key, scope);
  return scope;
}

/**
 * Draws pages of the site in a look.
 *
 * @param scheme always in this light, whatever the look and the device say
 */
export function InTheme({ look, scheme, children }: { look: Look; scheme?: Scheme; children: ReactNode }) {
  const scope = scopeOf(look, scheme);
  const rules = useMemo(
    () => lookRules(look, { at: `[data-look='${scope}'][data-theme]`, ...(scheme && { scheme }) }),
    [look, scheme, scope],
  );
  return createElement(
    Fragment,
    null,
    createElement('style', null, rules),
    createElement(
      LookScopeContext,
      { value: scope },
      createElement(dressed(look.theme, fontsOf(look)), null, children),
    ),
  );
}

/** Something small in the look it stands in, that is no whole page. */
export function LookBox({ look, ...rest }: { look: Look } & ComponentProps<'div'>) {
  const scope = useContext(LookScopeContext);
  return <div data-theme={look.theme} data-look={scope ?? undefined} {...rest} />;
}
