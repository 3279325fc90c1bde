import type { SeenPart } from '../parts/parts.ts';
import type { Id } from '../id.ts';
import type { Spaced } from './space-between.ts';

/** Whether a part begins with a heading of its own. */
function isHeaded(part: SeenPart): boolean {
  if (part.kind === 'words') {
    const [first] = part.text.content;
    return first?.type === 'heading' && first.attrs.level === 2 && Boolean(first.content?.length);
  }
  return (part.kind === 'gallery' || part.kind === 'table') && part.title.trim() !== '';
}

/**
 * What of a part counts for the space around it.
 *
 * @param isCaptioned whether words stand below a picture
 */
export const spaced = (part: SeenPart, isCaptioned: (picture: Id) => boolean): Spaced => ({
  kind: part.kind,
  headed: isHeaded(part),
  width: part.kind === 'picture' ? part.width : null,
  captioned: part.kind === 'picture' && part.material !== null && isCaptioned(part.material),
});

/** Two parts beside each other, as one. */
export const spacedPair: Spaced = { kind: 'pair', headed: false, width: null, captioned: false };
