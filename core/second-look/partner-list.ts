import type { Id } from '../id.ts';
import type { AskedLine } from './second-look.ts';

/** What somebody who does not know the work can say best (common practice). */
const texts: readonly string[] = [
  'I can tell what it is in ten seconds',
  'I know what was done by its maker and what by others',
  'The pictures show how it was made',
  'I can read it on my phone',
  'Nothing here should stay private',
  'Links and documents open for me',
  'I would want to see the next one',
];

/** A list for whoever looks, where their maker has none. */
export const partnerList = (newId: () => Id): AskedLine[] => texts.map((text) => ({ id: newId(), text }));
