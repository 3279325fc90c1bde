import type { Height } from './height.ts';
import type { Id } from '../id.ts';

/** Somebody who opens a site, told apart only by how they came in. */
export type Viewer =
  | { kind: 'maker' }
  | { kind: 'stranger' }
  | { kind: 'site-link' }
  /** Of a page, or of one version of a résumé; see `linkedTo`. */
  | { kind: 'page-link'; page: Id }
  /** Of pages with all below them, of versions of a résumé, or of the whole site; with the downloads that pages offer, or without. */
  | { kind: 'pass'; covers: 'site' | readonly Id[]; downloads: boolean };

/** The lowest effective height this viewer can still see. */
export function reachOf(viewer: Viewer): Height {
  switch (viewer.kind) {
    case 'maker':
      return 'private';
    case 'pass':
      return 'invited';
    case 'site-link':
    case 'page-link':
      return 'unlisted';
    case 'stranger':
      return 'public';
  }
}
