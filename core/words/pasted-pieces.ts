import { structureFromHtml } from './blocks-from-html.ts';
import type { PlacedPiece } from './parts-from-pieces.ts';

export interface Pasted {
  pieces: PlacedPiece[];
  /** Alt texts of the pictures, by the address the HTML gives them. */
  alts: Record<string, string>;
}

/**
 * What somebody pasted, as words and the places of pictures: its structure and nothing else.
 *
 * @param html from a word processor or a web page, as the clipboard gives it
 */
export function pastedPieces(html: string): Pasted {
  // Clipboards on some systems put the surroundings of what was copied around it, and mark where it begins and ends.
  const marked = /<!--\s*StartFragment\s*-->([\s\S]*?)<!--\s*EndFragment\s*-->/i.exec(html);
  const pieces: PlacedPiece[] = [];
  const alts: Record<string, string> = {};
  for (const one of structureFromHtml(marked?.[1] ?? html)) {
    const last = pieces.at(-1);
    if (one.type === 'picture') {
      alts[one.src] = one.alt;
      pieces.push({ type: 'picture', picture: one.src });
    } else if (last?.type === 'words') last.blocks.push(one.block);
    else pieces.push({ type: 'words', blocks: [one.block] });
  }
  return { pieces, alts };
}
