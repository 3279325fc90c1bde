import type { Role } from '#core/look/theme-colours.ts';

/** What stands there. */
export const textWords: Partial<Record<Role, string>> = {
  ink: 'Words',
  'ink-2': 'Quiet words',
  accent: 'Links',
  bad: 'What went wrong',
  'line-2': 'Frames',
  focus: 'Focus',
  'on-accent': 'Words',
  'on-select': 'Marked words',
  'back-ink': 'Words',
  'back-2': 'Headings',
  'on-field': 'Words',
  two: 'Titles',
  'on-tint': 'Words',
};

/** What it stands on. */
export const groundWords: Partial<Record<Role, string>> = {
  paper: 'the page',
  'paper-2': 'a well',
  card: 'a card',
  accent: 'a button',
  select: 'what is marked',
  back: 'the band of a reflection',
  field: 'a field of colour',
  sky: 'the sky',
  dusk: 'the dusk',
  'tint-1': 'the first tint',
  'tint-2': 'the second tint',
  'tint-3': 'the third tint',
  'tint-4': 'the fourth tint',
};
