import type { SeenPage } from '#core/access/seen-by.ts';
import type { Id } from '#core/id.ts';
import type { Look } from '#core/look/look.ts';
import type { Licence } from '#core/credits/licence.ts';
import type { ResumeOnPage } from '#core/resume/resume-content-of.ts';
import type { WallLabels } from '#core/sites/wall-labels.ts';
import type { WallArrangement } from '#core/sites/wall-arrangement.ts';
import type { Site } from '#core/sites/site.ts';
import type { MenuManner } from '#core/menu/menu-manner.ts';
import type { Medium, SharedPicture } from './medium.ts';
import type { Picture } from './picture.ts';
import type { Way } from './ways.ts';

/** A project as it hangs on the wall or stands at the end of another page. */
export interface Card {
  id: Id;
  title: string;
  summary: string;
  path: string;
  picture: Picture | null;
  /** When it was made, in words of the language of the page it hangs on; empty where that is not said there. */
  when: string;
  /** What it is tagged with; empty where that is not said there. */
  tags: string[];
  /** Set where it is written in another language than the page it hangs on. */
  language: string | null;
}

/** One line of the menu, with those below it. */
export interface MenuLink {
  title: string;
  /** Below the entrance; null of a heading, and where it leads outside. */
  path: string | null;
  outside: { to: string; newWindow: boolean } | null;
  /** This very page, or one that stands somewhere above it. */
  current: 'page' | 'above' | null;
  below: MenuLink[];
}

/** Some of the cards under the name of their group; null: those that stand in none. */
export interface WallGroup {
  title: string | null;
  path: string | null;
  summary: string;
  cards: Id[];
}

/** Names of the files that all sites with a theme share, below the entrance. */
export interface SiteAssets {
  css: string;
  printCss: string;
  enhance: string;
  /** The sign of the site in the tabs of a browser. */
  icon: string;
  /** Font files worth fetching before the style sheet is read. */
  preloadFonts: string[];
}

/** Everything one page is made of, and nothing else: equal inputs give equal bytes. */
export interface PageInput {
  siteTitle: string;
  /** Whose work it is. */
  by: string;
  look: Look;
  /** From this page back to the entrance: '' or '../' once for each level. */
  toRoot: string;
  /** Of this page below the entrance: '' or 'slug/'. */
  path: string;
  /** Path of the home page; null when the viewer came by the link of one page. */
  home: string | null;
  /** What the site is written in; the page has its own, which may be another. */
  siteLanguage: string;
  /** Links that stand at the end of this page. */
  links: MenuLink[];
  /** How its maker can be reached: by a form, or at a web address; empty where that is not said. */
  contact: Site['contact'];
  /** Under which terms the maker's work stands. */
  rights: Licence | null;
  /** Path of the feed, where there is one. */
  feed: string | null;
  /** How the menu is shown, and what stands in it. */
  manner: MenuManner;
  menu: MenuLink[];
  /** The page this one stands below, where its reader can open that. */
  up: { title: string; path: string } | null;
  /** What stands right below this page; on a tag's page the other tags. */
  below: MenuLink[];
  /** What those are, for people who hear the page. */
  belowLabel: string;
  /** Pages that its parts name, by their ids. */
  ways: Record<Id, Way>;
  /** On the page about the maker: where their résumé is, for whoever can open it. */
  toResume: Way | null;
  /** The résumé that stands on it, as it is set on paper. */
  resume: ResumeOnPage | null;
  /** Tags of the work on this page, each with the path of its page. */
  tags: { name: string; path: string }[];
  page: SeenPage;
  /** The picture shown where somebody passes on a link to this page; see `sharePicture`. */
  preview: SharedPicture | null;
  /**
   * Where the entrance stands on the web, ending in a slash; null where its address is a secret of those who have it.
   */
  base: string | null;
  pictures: Record<Id, Picture>;
  /** What every page of the site lies on. */
  groundPicture: Picture | null;
  /** What parts show that is more than words and pictures, by the part's id and the material's. */
  media: Record<Id, Record<Id, Medium>>;
  /** Work that hangs on this page: all of it on the front page, on a group's what stands in it. */
  cards: Card[];
  /** How it hangs; by groups only on the front page. */
  wall: WallArrangement;
  labels: WallLabels;
  /** Whether the front page begins with its title and pictures. */
  welcome: boolean;
  wallGroups: WallGroup[];
  /** The projects before and after this one, among those of its group; see `workBeside`. */
  before: Card | null;
  after: Card | null;
}
