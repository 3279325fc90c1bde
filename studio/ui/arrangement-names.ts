import type { OpeningLayout } from '#core/pages/opening.ts';
import type { MenuManner } from '#core/menu/menu-manner.ts';
import type { WallArrangement } from '#core/sites/wall-arrangement.ts';
import type { WallLabels } from '#core/sites/wall-labels.ts';

/** What is called the same in every room that offers it. */
export const mannerNames: Record<MenuManner, string> = {
  line: 'A line on top',
  side: 'A list at the side',
  word: 'Behind one word',
};

export const wallNames: Record<WallArrangement, string> = {
  rows: 'Rows',
  one: 'One large',
  list: 'List',
  groups: 'By groups',
};

export const wallLabelNames: Record<WallLabels, string> = {
  below: 'Below its picture',
  over: 'Over its picture',
  outside: 'Beside the wall, in a list',
};

export const openingNames: Record<OpeningLayout, string> = {
  full: 'Full picture',
  strip: 'Strip of pictures',
  words: 'Words only',
};
