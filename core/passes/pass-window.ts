import { instantOf } from '../dates/local-time.ts';
import type { PassTerms } from './pass.ts';

/** When a pass opens something: from an instant on, and until another one, which is no longer within it. */
export interface PassWindow {
  opensAt: Date | null;
  closesAt: Date | null;
}

/** The instants between which a pass opens something, wherever its reader is. */
export const passWindow = ({
  from,
  until,
  timeZone,
}: Pick<PassTerms, 'from' | 'until' | 'timeZone'>): PassWindow => ({
  opensAt: from === null ? null : instantOf(from, timeZone, 'first'),
  closesAt: until === null ? null : instantOf(until, timeZone, 'last'),
});

/** Why a window is none; null where it is one. */
export function windowFault({ opensAt, closesAt }: PassWindow): string | null {
  return opensAt && closesAt && closesAt <= opensAt
    ? 'The pass would close before it opens. Let it end later, or begin earlier.'
    : null;
}
