import type { Run } from '../resume/layout/set-runs.ts';

/** A picture as a page shows it: its file below the entrance, and its size in pixels. */
export interface BookPicture {
  file: string;
  width: number;
  height: number;
  alt: string;
  /** Words that stand below it. */
  caption: string;
}

/** A piece of a page as it stands on paper, in reading order. */
export type BookBlock =
  | { kind: 'heading'; level: 2 | 3 | 4; runs: Run[] }
  | { kind: 'words'; tone: 'plain' | 'lead' | 'quiet' | 'quote'; runs: Run[] }
  | { kind: 'item'; mark: string; depth: number; runs: Run[] }
  /** A name and what is said to it, side by side. */
  | { kind: 'fact'; name: string; runs: Run[] }
  /** A row of a table. */
  | { kind: 'row'; head: boolean; cells: Run[][] }
  /** Small where they only go with words beside them, as in a moment. */
  | { kind: 'pictures'; pictures: BookPicture[]; small: boolean };

/** One page of a site as a chapter. */
export interface BookChapter {
  /** Where the page stands below the entrance. */
  path: string;
  title: string;
  /** How far below the entrance's other pages it stands: 0 for those of the first level. */
  depth: number;
  /** Pictures that stand before its title. */
  opening: BookPicture[];
  blocks: BookBlock[];
}
