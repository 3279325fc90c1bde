import { countWords } from '#core/content/rich-text.ts';
import type { Material } from '#core/content/material.ts';
import { isEmptyPart, materialsOf, type Part } from '#core/content/part.ts';

export const partNames: Record<Part['kind'], string> = {
  words: 'Words',
  picture: 'Picture',
  gallery: 'Gallery',
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
  }
}

export type PartState = { sign: 'empty' | 'needs' | 'fine'; words: string };

/** Whether a part is empty or needs something before it is shown. */
export function partState(part: Part, materials: readonly Material[]): PartState {
  if (isEmptyPart(part)) return { sign: 'empty', words: 'Empty: readers do not get it' };
  const shown = materialsOf(part);
  const missing = materials.filter(({ id, alt }) => shown.includes(id) && alt.trim() === '').length;
  return missing > 0
    ? { sign: 'needs', words: `Needs alt text for ${count(missing, 'picture')}` }
    : { sign: 'fine', words: 'Ready' };
}
