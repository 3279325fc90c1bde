import type { Id } from '../id.ts';
import type { Material } from '../materials/material.ts';
import type { ShownPage } from '../pages/page.ts';
import { textsIn } from '../parts/texts-in.ts';

export interface WordsOfPart {
  /** Null: above all parts. */
  part: Id | null;
  kind: ShownPage['parts'][number]['kind'] | null;
  texts: string[];
}

/** The words of a page, part for part, without those of what stands on it. */
export const wordsOn = (page: ShownPage): WordsOfPart[] => [
  {
    ...{ part: null, kind: null },
    texts: [page.title, page.summary, ...('facts' in page ? textsIn(page.facts) : [])],
  },
  ...page.parts.map((part) => ({ part: part.id, kind: part.kind, texts: textsIn(part) })),
];

/** What is said of a material, and the name under which its file is handed on. */
export const saidOf = ({ title, caption, alt, transcript, kind, fileName }: Material): string[] => [
  ...[title, caption, alt, transcript],
  ...(kind === 'document' ? [fileName] : []),
];
