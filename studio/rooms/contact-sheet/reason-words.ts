import type { Note, Reason } from '#core/gallery/contact-sheet.ts';
import { warningNames } from '../../materials/warning-words.ts';

/** Why a picture is proposed, in a few words. */
export function reasonWords(reason: Reason): string {
  switch (reason.kind) {
    case 'best-of-alike':
      return `sharpest of ${reason.of} alike`;
    case 'only-tag':
      return `only one tagged ${reason.tag}`;
    case 'earliest':
      return 'the earliest';
    case 'latest':
      return 'the latest';
    case 'other-view':
      return 'another view';
    case 'other-colours':
      return 'other colours';
    case 'sharpest':
      return 'the sharpest';
  }
}

/** Why a picture is left out, in a few words. */
export function noteWords(note: Note, numberOf: (id: string) => string): string {
  switch (note.kind) {
    case 'alike':
      return `like ${numberOf(note.to)}, less sharp`;
    case 'close':
      return `close to ${numberOf(note.to)}`;
    case 'opens':
      return 'like the opening';
    case 'warning':
      return warningNames[note.warning];
  }
}
