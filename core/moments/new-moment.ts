import type { Id } from '../id.ts';
import type { Moment } from '../parts/moment.ts';
import { newPart } from '../parts/new-part.ts';

/** What is known of a moment when it begins: its date, and whatever else. */
export type KnownOfMoment = Pick<Moment, 'date'> & Partial<Omit<Moment, 'id' | 'kind'>>;

/** A moment as it begins. */
export const newMoment = (id: Id, known: KnownOfMoment): Moment =>
  ({ ...newPart('moment', id), ...known }) as Moment;
