import { isKnownPart, type Part, rulesOf } from './parts.ts';

/** True when a reader would see nothing: such a part stays in the draft and is left out of every view. */
export const isEmptyPart = (part: Part): boolean => !isKnownPart(part) || rulesOf(part).isEmpty(part);
