import type { Id } from '../id.ts';
import type { ShownPage } from '../pages/page.ts';
import type { Site } from '../sites/site.ts';
import type { Noticed } from './noticed.ts';

/** What a rule looks at that compares pages with each other. */
export interface CheckedSite extends Pick<Site, 'language' | 'offWall' | 'address'> {
  /** Those that are looked at, in no order. */
  pages: readonly ShownPage[];
}

export interface NoticedOnSite extends Noticed {
  /** The page on which it is told. */
  page: Id;
}
