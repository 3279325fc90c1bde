import type { PartOf } from '../../parts/parts.ts';

/** An entry without what is of its place on a page: who may have it, and ids. */
export type TakenEntry = Pick<
  PartOf<'entry'>,
  'section' | 'title' | 'place' | 'from' | 'to' | 'level' | 'proofs' | 'page' | 'kept'
> & { lines: Pick<PartOf<'entry'>['lines'][number], 'text' | 'proof'>[] };

export const nothingTaken: Omit<TakenEntry, 'section'> = {
  ...{ title: '', place: '', from: null, to: null, level: '', lines: [], proofs: [], page: null },
};

/** The key under which stands, in an item, what the format has no place for. */
export const ownKey = 'kiteWall';
