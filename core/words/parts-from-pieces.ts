import type { Id } from '../id.ts';
import { newPart } from '../parts/new-part.ts';
import type { Part } from '../parts/parts.ts';
import type { Block } from './rich-text.ts';

/** Words, or the name of the picture that stands between them. */
export type PlacedPiece = { type: 'words'; blocks: Block[] } | { type: 'picture'; picture: string };

/**
 * A document, or what was pasted, as parts of a page: its words as words, each of its pictures as a picture, in the same
 * order. A heading that repeats the page's title is left out, since the page says it already.
 *
 * @param materials materials that the document's pictures have become, by the name of the picture
 * @param newId makes an id for each part
 */
export function partsFromPieces(
  pieces: readonly PlacedPiece[],
  materials: Readonly<Record<string, Id>>,
  pageTitle: string,
  newId: () => Id,
): Part[] {
  const same = (text: string) => text.trim().toLowerCase() === pageTitle.trim().toLowerCase();
  return pieces.flatMap((piece, at): Part[] => {
    const base = { id: newId(), height: 'public' as const };
    if (piece.type === 'picture') {
      const material = materials[piece.picture];
      return material ? [newPart('picture', base.id, [material])] : [];
    }
    const [first, ...rest] = piece.blocks;
    const said =
      first?.type === 'heading'
        ? (first.content ?? []).map((node) => (node.type === 'text' ? node.text : ' ')).join('')
        : '';
    const blocks = at === 0 && pageTitle !== '' && same(said) ? rest : piece.blocks;
    return blocks.length > 0 ? [{ ...base, kind: 'words', text: { type: 'doc', content: [...blocks] } }] : [];
  });
}
