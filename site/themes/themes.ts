import type { ThemeName } from '#core/look/theme-names.ts';
import type { ThemeFacts } from './theme.ts';

/** What is to be known of each theme. */
export const themes: Record<ThemeName, ThemeFacts> = {
  broadsheet: {
    label: 'Broadsheet',
    suits: 'The words lead, as in a well-set paper. For makers whose process reads well.',
    slants: true,
    overPictures: true,
  },
  lamplight: {
    label: 'Lamplight',
    suits: 'A dark room in which the pictures are the lamps. For few, large, good pictures.',
    slants: false,
    overPictures: true,
  },
  signal: {
    label: 'Signal',
    suits: 'Two flat colours from edge to edge, broad letters. Carries pictures that are not so good.',
    slants: false,
    overPictures: false,
  },
  chalkline: {
    label: 'Chalkline',
    suits: 'A drawing sheet whose lines are drawn. For making that is measured, tested and explained.',
    slants: false,
    overPictures: true,
    numbersFigures: true,
  },
  fairwind: {
    label: 'Fairwind',
    suits: 'Round pictures that hang in open sky. For work for children, play and friendly things.',
    slants: false,
    overPictures: false,
  },
  overprint: {
    label: 'Overprint',
    suits: 'A pamphlet in two inks, with letters across the prints. Makes any cover a clean print.',
    slants: false,
    overPictures: false,
  },
};
