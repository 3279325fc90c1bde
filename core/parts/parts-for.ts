import { wordsOfNote } from '../words/words-of-note.ts';
import type { Id } from '../id.ts';
import type { Material } from '../materials/material.ts';
import { newPart } from './new-part.ts';
import { mostInGallery } from './gallery.ts';
import type { Part } from './parts.ts';
import { partKindOf } from './part-kind-of.ts';

/**
 * Parts that show these materials: one for each in their order, then one picture or one gallery of all pictures, and
 * another one where there are more than a gallery holds. A note becomes words of the page, so what is written there later
 * does not change the note.
 */
export function partsFor(
  materials: readonly Pick<Material, 'id' | 'kind' | 'transcript'>[],
  newId: () => Id,
): Part[] {
  const pictures = materials.filter(({ kind }) => kind === 'picture').map(({ id }) => id);
  const parts = materials.flatMap(({ id, kind, transcript }): Part[] => {
    if (kind === 'picture') return [];
    const part = newPart(partKindOf[kind], newId(), [id]);
    return [part.kind === 'words' ? { ...part, text: wordsOfNote(transcript) } : part];
  });
  for (let from = 0; from < pictures.length; from += mostInGallery) {
    const some = pictures.slice(from, from + mostInGallery);
    parts.push(newPart(some.length > 1 ? 'gallery' : 'picture', newId(), some));
  }
  return parts;
}
