import type { SeenPage } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import type { Look } from '#core/look/look.ts';
import type { Medium } from './medium.ts';
import type { Picture } from './picture.ts';

/** A project as it hangs on the wall or stands at the end of another page. */
export interface Card {
  id: Id;
  title: string;
  summary: string;
  path: string;
  picture: Picture | null;
}

/** Names of the files that all sites with a theme share, below the entrance. */
export interface SiteAssets {
  css: string;
  printCss: string;
  enhance: string;
  /** Font files worth fetching before the style sheet is read. */
  preloadFonts: string[];
}

/** Everything one page is made of, and nothing else: equal inputs give equal bytes. */
export interface PageInput {
  siteTitle: string;
  look: Look;
  /** From this page back to the entrance: '' or '../' once for each level. */
  toRoot: string;
  /** Of this page below the entrance: '' or 'slug/'. */
  path: string;
  /** Path of the home page; null when the viewer came by the link of one page. */
  home: string | null;
  menu: { title: string; path: string; current: boolean }[];
  page: SeenPage;
  /** The picture shown where somebody passes on a link to this page: a JPEG below the entrance. */
  preview: { path: string; alt: string; widthPx: number; heightPx: number } | null;
  /**
   * Where the entrance stands on the web, ending in a slash; null where its address is a secret of those who have it.
   * Previews of links are fetched by programs that know no other way to find the picture.
   */
  base: string | null;
  pictures: Record<Id, Picture>;
  /** What parts show that is more than words and pictures, by the part's id and the material's. */
  media: Record<Id, Record<Id, Medium>>;
  /** The wall, on a home page. */
  cards: Card[];
  /** The projects before and after this one on the wall. */
  before: Card | null;
  after: Card | null;
}
