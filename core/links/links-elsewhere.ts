import type { Id } from '../id.ts';
import type { Part } from '../parts/parts.ts';
import { linksIn } from '../words/links-in.ts';

/** An address on the web that a part leads to without showing what is there. */
export interface LinkElsewhere {
  part: Id;
  to: string;
  /** What is read as the link; empty where the part itself is. */
  words: string;
}

const isOnTheWeb = (to: string): boolean => /^https?:\/\//i.test(to) && URL.canParse(to);

function ofPart(part: Part): Omit<LinkElsewhere, 'part'>[] {
  switch (part.kind) {
    case 'words':
      return linksIn(part.text).map(({ href, text }) => ({ to: href, words: text.trim() }));
    case 'profiles':
      return part.list.map(({ to, name }) => ({ to, words: name.trim() }));
    case 'contact':
    case 'picture':
      return [{ to: part.link, words: '' }];
    default:
      return [];
  }
}

/** Where the parts of a page lead by words, profiles, pictures and contacts; each address of a part once, in reading order. */
export const linksElsewhere = (parts: readonly Part[]): LinkElsewhere[] =>
  parts.flatMap((part) => {
    const seen = new Set<string>();
    return ofPart(part)
      .filter(({ to }) => isOnTheWeb(to) && !seen.has(to) && seen.add(to))
      .map((one) => ({ part: part.id, ...one }));
  });
