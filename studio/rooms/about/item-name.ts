import type { Part } from '#core/parts/parts.ts';
import { settingsOf } from '../../parts/parts.ts';
import { exactnessWords } from '../../parts/person/place-panel.tsx';

/** What each half of what a maker says of themselves is called in the room. */
export const halfNames = { biography: 'Half biography', work: 'Half why work with me' } as const;

/** What is told of the maker by a part, in a word or two. */
export function itemName(part: Part): string {
  switch (part.kind) {
    case 'portrait':
      return {
        photo: 'Portrait, a picture',
        drawn: 'Portrait, cut from paper',
        letters: 'Portrait, letters',
        none: 'No portrait',
      }[part.form];
    case 'place':
      return exactnessWords[part.exactness].name;
    case 'telling':
      return halfNames[part.half];
    default:
      return settingsOf(part).name;
  }
}
