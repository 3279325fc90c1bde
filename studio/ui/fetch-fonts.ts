import type { FontPairName } from '#core/look/font-pair-names.ts';

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
