import {
  type ComponentProps,
  createElement,
  type CSSProperties,
  type ReactNode,
  useContext,
  useMemo,
  useSyncExternalStore,
} from 'react';
import type { FontPairName } from '#core/look/font-pair-names.ts';
import type { Look } from '#core/look/look.ts';
import { fontsOf } from '#core/look/fonts-of.ts';
import { lookProperties, schemeOf } from '#core/look/look-rules.ts';
import type { Scheme } from '#core/look/theme-colours.ts';
import type { ThemeName } from '#core/look/theme-names.ts';
import { WornContext } from '#site/render/worn.ts';
import { fetchFonts } from './fetch-fonts.ts';
import { type Fetched, fetched } from './fetched.tsx';

const sheets: Record<ThemeName, () => Promise<unknown>> = {
  broadsheet: () => import('#site/themes/broadsheet/theme.css'),
  lamplight: () => import('#site/themes/lamplight/theme.css'),
  signal: () => import('#site/themes/signal/theme.css'),
  chalkline: () => import('#site/themes/chalkline/theme.css'),
  fairwind: () => import('#site/themes/fairwind/theme.css'),
  overprint: () => import('#site/themes/overprint/theme.css'),
};

const known = new Map<string, Fetched<{ children: ReactNode }>>();

/** What draws once the sheets of a theme and its fonts are here; those of the others are not fetched. */
function dressed(theme: ThemeName, pair: FontPairName) {
  const key = `${theme} ${pair}`;
  const made =
    known.get(key) ??
    fetched(async () => {
      await Promise.all([sheets[theme](), fetchFonts(pair)]);
      return ({ children }: { children: ReactNode }) => children;
    });
  known.set(key, made);
  return made;
}

const asks = (query: string) => {
  const media = typeof window.matchMedia === 'function' ? window.matchMedia(query) : null;
  return {
    subscribe: (changed: () => void) => {
      media?.addEventListener('change', changed);
      return () => media?.removeEventListener('change', changed);
    },
    now: () => media?.matches ?? false,
  };
};
const night = asks('(prefers-color-scheme: dark)');
const clearer = asks('(prefers-contrast: more)');

/**
 * Draws pages of the site in a look. Its properties stand on the page's own element and not in a sheet, so that a change of one look
 * is worked out for what wears it and for nothing else on the screen.
 *
 * @param scheme always in this light, whatever the look and the device say
 */
export function InTheme({ look, scheme, children }: { look: Look; scheme?: Scheme; children: ReactNode }) {
  const isNight = useSyncExternalStore(night.subscribe, night.now);
  const isClearer = useSyncExternalStore(clearer.subscribe, clearer.now);
  const light = scheme ?? schemeOf(look);
  const shown: Scheme = light === 'device' ? (isNight ? 'dark' : 'light') : light;
  const worn = useMemo(() => {
    const { 'color-scheme': colorScheme, ...custom } = lookProperties(
      isClearer ? { ...look, comfort: 'AAA' } : look,
      shown,
    );
    return { theme: look.theme, style: { colorScheme, ...custom } as CSSProperties };
  }, [look, shown, isClearer]);
  return createElement(
    WornContext,
    { value: worn },
    createElement(dressed(look.theme, fontsOf(look)), null, children),
  );
}

/** Something small in the look it stands in, that is no whole page. */
export function LookBox(props: ComponentProps<'div'>) {
  const worn = useContext(WornContext);
  return <div data-theme={worn?.theme} style={worn?.style} {...props} />;
}
