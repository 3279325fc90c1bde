import type { Height } from './height.ts';
import type { PageBase } from '../pages/page.ts';

/** The height of a page by itself. One that is put away is Private, whatever it was and will be again. */
export const ownHeight = ({ height, archived }: Pick<PageBase, 'height' | 'archived'>): Height =>
  archived ? 'private' : height;
