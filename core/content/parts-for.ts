import { wordsOfNote } from '../words/words-of-note.ts';
import type { Id } from './id.ts';
import type { Material } from './material.ts';
import { newPart } from './new-part.ts';
import { type Part, partKindOf } from './part.ts';

/**
 * Parts that show these materials: one for each in their order, then one picture or one gallery of all pictures. A note
 * becomes words of the page, so what is written there later does not change the note.
 */
export function partsFor(
  materials: readonly Pick<Material, 'id' | 'kind' | 'transcript'>[],
  newId: () => Id,
): Part[] {
  const pictures = materials.filter(({ kind }) => kind === 'picture').map(({ id }) => id);
  const others = materials.flatMap(({ id, kind, transcript }): Part[] => {
    if (kind === 'picture') return [];
    const part = newPart(partKindOf[kind], newId(), [id]);
    return [part.kind === 'words' ? { ...part, text: wordsOfNote(transcript) } : part];
  });
  if (pictures.length === 0) return others;
  return [...others, newPart(pictures.length > 1 ? 'gallery' : 'picture', newId(), pictures)];
}
