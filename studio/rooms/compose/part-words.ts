import { countWords } from '#core/content/rich-text.ts';
import type { Material } from '#core/content/material.ts';
import { isEmptyPart, materialsOf, type Part } from '#core/content/part.ts';

export const partNames: Record<Part['kind'], string> = {
  words: 'Words',
  picture: 'Picture',
  gallery: 'Gallery',
  document: 'Document',
  sound: 'Sound',
  clip: 'Clip',
  link: 'Link',
  quote: 'Quote',
  compare: 'Before and after',
  evidence: 'Evidence',
  reflection: 'Reflection',
  credits: 'Credits',
  contact: 'Contact',
};

const count = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

/** What stands where a part has nothing to show yet; readers never get it. */
export const emptyWords: Record<Part['kind'], string> = {
  words: 'Write here. How did it come about, and what did you find out?',
  picture: 'A picture goes here.',
  document: 'A document goes here. Readers see its pages or words in place.',
  sound: 'A sound goes here.',
  clip: 'A clip goes here.',
  link: 'A link goes here: a page, or a clip at its host.',
  gallery: 'A gallery goes here. Four to eight pictures is a good number.',
  quote: 'What somebody said about it goes here.',
  compare: 'Two pictures of one thing go here: how it was, and how it is.',
  evidence: 'One thing that proves what you can do goes here, with three short answers.',
  reflection: 'What you think of it now goes here. Pick questions to guide you; readers never see them.',
  credits: 'Everything on this page is your own work, so there is nobody to credit.',
  contact: 'How to reach you goes here.',
};

/** What stands beside a part's name in the tail. */
export function partDetail(part: Part): string {
  switch (part.kind) {
    case 'words':
      return count(countWords(part.text), 'word');
    case 'picture':
      return part.width === 'full' ? 'full width' : part.width === 'text' ? 'in the text' : 'wide';
    case 'gallery':
      return count(part.pictures.length, 'picture');
    case 'document':
      return part.download ? 'may be downloaded' : 'in place';
    case 'sound':
    case 'clip':
      return part.material === null ? '' : 'to play';
    case 'quote':
      return part.by;
    case 'compare':
      return materialsOf(part).length === 2 ? 'two pictures' : '';
    case 'evidence':
      return count([part.what, part.why, part.shows].filter((one) => one.trim() !== '').length, 'answer');
    case 'reflection':
      return count(part.answers.filter(({ text }) => text.trim() !== '').length, 'answer');
    case 'credits':
      return 'by themselves';
    case 'contact':
      return part.email || part.link ? 'to reach you' : '';
    case 'link':
      return { 'in-place': 'opened in place', card: 'card', button: 'button' }[part.form];
  }
}

export interface PartState {
  sign: 'empty' | 'needs' | 'edited' | 'fine';
  words: string;
}

export const editedSince: PartState = { sign: 'edited', words: 'Edited since the release' };
const ready: PartState = { sign: 'fine', words: 'Ready' };
/** The signs of the tail, for a maker who has not met them yet. */
export const legend: readonly PartState[] = [
  ready,
  { sign: 'needs', words: 'Needs something' },
  { sign: 'empty', words: 'Empty' },
  { ...editedSince, words: 'Edited since live' },
];

/**
 * Whether a part is empty, needs something before it is shown, or is newer than what readers see.
 *
 * @param edited readers see an older state of it
 */
export function partState(part: Part, materials: readonly Material[], edited: boolean): PartState {
  if (isEmptyPart(part)) return { sign: 'empty', words: 'Empty: readers do not get it' };
  const shown = materials.filter(({ id }) => materialsOf(part).includes(id));
  const missing = shown.filter((one) => one.kind === 'picture' && one.alt.trim() === '').length;
  if (missing > 0) return { sign: 'needs', words: `Needs alt text for ${count(missing, 'picture')}` };
  if (part.kind === 'evidence') {
    const open = [part.what, part.why, part.shows].filter((one) => one.trim() === '').length;
    if (part.material === null) return { sign: 'needs', words: 'Needs the thing itself' };
    if (open > 0) return { sign: 'needs', words: `Needs ${count(open, 'more answer')}` };
  }
  const silent = shown.some(
    (one) => (one.kind === 'sound' || one.kind === 'clip') && one.transcript.trim() === '',
  );
  if (silent) return { sign: 'needs', words: 'Needs a transcript, for people who cannot hear it' };
  return edited ? editedSince : ready;
}
