/** What of a part counts for the space around it. */
export interface Spaced {
  kind: string;
  /** It begins with words that head it. */
  headed: boolean;
  /** Of a picture, how wide it stands. */
  width: 'text' | 'wide' | 'full' | 'window' | null;
  /** Words stand below it. */
  captioned: boolean;
}

/** Lines of text, about; or as much as stands between two pictures of one gallery. */
export type Space = number | 'gutter';

const wide = { before: 2.5, after: 2.5 };
const narrow = { before: 2, after: 2 };

/** What a part asks for before and after it, in lines. */
function spacesOf({ kind, headed, width }: Spaced): { before: number; after: number } {
  switch (kind) {
    case 'words':
      return { before: headed ? 3.5 : 2, after: 2 };
    case 'gallery':
    case 'table':
      return headed ? { before: 3.5, after: 2.5 } : wide;
    case 'document':
      return { before: 3.5, after: 2.5 };
    case 'picture':
      if (width === 'full' || width === 'window') return { before: 3.5, after: 3.5 };
      return width === 'text' ? narrow : wide;
    case 'sound':
    case 'link':
      return narrow;
    case 'evidence':
      return { before: 3, after: 3 };
    case 'reflection':
      return { before: 4, after: 4 };
    case 'credits':
      return { before: 4, after: 1.5 };
    case 'contact':
      return { before: 1.5, after: 3 };
    default:
      return wide;
  }
}

const isWords = ({ kind, headed }: Spaced) => kind === 'words' && !headed;

/** Pairs that belong together stand nearer than either of them asks for. */
function exceptionOf(above: Spaced, below: Spaced): Space | null {
  if (above.kind === 'words' && isWords(below)) return 1;
  if (above.kind === 'words' && below.kind === 'quote') return 2;
  if (above.kind === 'quote' && isWords(below)) return 2;
  if (above.kind === 'evidence' && below.kind === 'evidence') return 2;
  if (above.kind === 'picture') {
    // Read as one sheet.
    if (below.kind === 'picture' || (below.kind === 'gallery' && !below.headed)) return 'gutter';
    if (above.width === 'full' && !above.captioned && below.kind === 'reflection') return 0;
  }
  return null;
}

/**
 * The space between two parts that follow each other. Each asks for one before and after it, and of the two that meet the
 * larger one counts.
 *
 * @param above null: what opens the page, or the facts below it
 */
export function spaceBetween(above: Spaced | null, below: Spaced): Space {
  const { before } = spacesOf(below);
  // A heading right below the facts needs no more than anything else there.
  if (above === null) return below.headed || below.kind === 'document' ? 2.5 : Math.max(2.5, before);
  return exceptionOf(above, below) ?? Math.max(spacesOf(above).after, before);
}
