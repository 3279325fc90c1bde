import { isKnownPart, type Part } from '../parts/parts.ts';
import type { Moment } from '../parts/moment.ts';

export const isMoment = (part: Part): part is Moment => isKnownPart(part) && part.kind === 'moment';

/** What is kept of how the work came about, among the parts of a page. */
export const momentsOf = (parts: readonly Part[]): Moment[] => parts.filter(isMoment);

/** The parts that stand on a page by themselves: all but moments, which process parts draw. */
export const standingParts = (parts: readonly Part[]): Part[] => parts.filter((part) => !isMoment(part));
