import type { Height } from '../content/height.ts';
import type { Page } from '../content/page.ts';

/** The height of a page by itself. One that is put away is Private, whatever it was and will be again. */
export const ownHeight = ({ height, archived }: Pick<Page, 'height' | 'archived'>): Height =>
  archived ? 'private' : height;
