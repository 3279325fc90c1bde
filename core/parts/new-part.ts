import type { Id } from '../id.ts';
import { type Part, type PartKind, rulesOf } from './parts.ts';

/** A part as it is first tied in, with the materials it starts with, if any. Parts that show one take the first. */
export const newPart = (kind: PartKind, id: Id, materials: readonly Id[] = []): Part =>
  ({
    ...{ id, kind, height: rulesOf({ kind }).startsAt ?? 'public' },
    ...rulesOf({ kind }).start(materials, id),
  }) as Part;
