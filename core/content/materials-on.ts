import type { Id } from './id.ts';
import type { Page } from './page.ts';
import { materialsOf } from './part.ts';

/** The materials a page shows, in reading order, each as often as it stands there. */
export const materialsOn = ({ opening, parts }: Pick<Page, 'opening' | 'parts'>): Id[] => [
  ...opening.pictures,
  ...parts.flatMap(materialsOf),
];
