import type { Executor } from '../db/connect.ts';
import { DraftMemory } from './draft-memory.ts';
import { ReleasedCopies } from './released-copies.ts';

/** What the studio's statements are made from, kept between two of them. */
interface StudioMemory {
  drafts: DraftMemory;
  released: ReleasedCopies;
}

/** One for each database, and gone with it: a process may have several open, as in tests. */
const memories = new WeakMap<Executor, StudioMemory>();

export function studioMemory(db: Executor): StudioMemory {
  const known = memories.get(db);
  if (known) return known;
  const memory = { drafts: new DraftMemory(), released: new ReleasedCopies() };
  memories.set(db, memory);
  return memory;
}
