import type { Id } from '../id.ts';

/** What the place of a part is called on its page, so that something can lead to it: an id may begin with a digit, a name may not. */
export const partAnchor = (id: Id): string => `at-${id}`;
