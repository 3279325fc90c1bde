import type { Id } from '../../id.ts';
import type { WorkPage } from '../../pages/page.ts';
import type { PartOf } from '../../parts/parts.ts';

/** Two places that do not say the same. */
export interface Contradiction {
  kind: 'years' | 'role' | 'title' | 'level';
  /** The entry that says one of it; null where About does. */
  entry: Id | null;
  /** What each of the two says. */
  sentence: string;
}

/** Something that was said, of whatever it was said. */
export interface Statement {
  text: string;
  /** BCP 47. */
  language: string;
  /** The entry it is a line of; null in About. */
  entry: PartOf<'entry'> | null;
  /** Pages that it points at. */
  pages: readonly Id[];
}

/** Compares something that was said of a project with what its own page says. */
export type ContradictionRule = (said: Statement, of: WorkPage) => Contradiction | null;
