import type { Warning } from '#core/gallery/picture-quality.ts';

/** A warning in a word or two, on the picture itself. */
export const warningNames: Record<Warning, string> = {
  'perhaps-blurred': 'soft',
  'very-dark': 'very dark',
  'very-bright': 'very bright',
  'too-small': 'small',
};

/** What it means for showing the picture, and what can be done. */
export const warningSentences: Record<Warning, string> = {
  'perhaps-blurred': 'No part of this picture has sharp edges. If that is not meant, choose another one.',
  'very-dark': 'Nearly all of this picture is very dark; details may not be seen.',
  'very-bright': 'Most of this picture is very bright; details may be lost.',
  'too-small':
    'This picture has too few pixels for a full-width place. In the text or in a gallery it is fine.',
};
