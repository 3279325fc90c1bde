import type { AskedOfOne, GivenBack } from '#contract/groups.ts';
import type { classEntries } from '../db/schema.ts';

export type EntryRow = typeof classEntries.$inferSelect;

/** What a class asks one who joined; null where it asks nothing. */
export const askedOf = ({ asked, askedAt, askedDoneAt }: EntryRow): AskedOfOne | null =>
  asked !== null && askedAt ? { words: asked, at: askedAt.toISOString(), done: askedDoneAt !== null } : null;

/** A letter as it was given back; null where none was. */
export const givenBackOf = ({ givenBack, givenBackAt }: EntryRow): GivenBack | null =>
  givenBack && givenBackAt ? { ...givenBack, at: givenBackAt.toISOString() } : null;
