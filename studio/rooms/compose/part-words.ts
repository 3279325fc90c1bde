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
};

const count = (n: number, one: string): string => `${n} ${one}${n === 1 ? '' : 's'}`;

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
    case 'link':
      return { 'in-place': 'opened in place', card: 'card', button: 'button' }[part.form];
  }
}

export type PartState = { sign: 'empty' | 'needs' | 'fine'; words: string };

/** Whether a part is empty or needs something before it is shown. */
export function partState(part: Part, materials: readonly Material[]): PartState {
  if (isEmptyPart(part)) return { sign: 'empty', words: 'Empty: readers do not get it' };
  const shown = materials.filter(({ id }) => materialsOf(part).includes(id));
  const missing = shown.filter((one) => one.kind === 'picture' && one.alt.trim() === '').length;
  if (missing > 0) return { sign: 'needs', words: `Needs alt text for ${count(missing, 'picture')}` };
  const silent = shown.some(
    (one) => (one.kind === 'sound' || one.kind === 'clip') && one.transcript.trim() === '',
  );
  return silent
    ? { sign: 'needs', words: 'Needs a transcript, for people who cannot hear it' }
    : { sign: 'fine', words: 'Ready' };
}
