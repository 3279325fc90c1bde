import type { Id } from '../../id.ts';
import type { Material } from '../../materials/material.ts';
import type { ShownPage } from '../../pages/page.ts';
import { factsOf } from '../../pages/page.ts';
import { materialsOf } from '../../parts/materials-of.ts';
import type { Part } from '../../parts/parts.ts';
import { plainText } from '../../words/rich-text.ts';
import { showsProof } from './shows-proof.ts';

/** A sentence that a maker wrote, and what it speaks of: a page, or a part that shows something. */
export interface WrittenSentence {
  text: string;
  page: Id;
  part: Id | null;
}

/** What a maker wrote in a part themselves: what others say, and what machines read, proves nothing of them. */
function wordsIn(part: Part, materials: ReadonlyMap<Id, Material>): string[] {
  const shown = materialsOf(part).flatMap((id) => {
    const material = materials.get(id);
    return material ? [material.title, material.caption] : [];
  });
  switch (part.kind) {
    case 'words':
      return [plainText(part.text)];
    case 'evidence':
      return [part.what, part.why, part.shows, ...shown];
    case 'reflection':
      return part.answers.map(({ text }) => text);
    case 'gallery':
      return [part.title, ...shown];
    case 'moment':
      return [part.title, part.happened, part.decided, part.why, ...shown];
    default:
      return shown;
  }
}

const sentences = new Intl.Segmenter('en', { granularity: 'sentence' });

/** The sentences of a page, in reading order, each with what it would be proof by. */
export function writtenSentences(page: ShownPage, materials: ReadonlyMap<Id, Material>): WrittenSentence[] {
  const { role, madeWith, materials: madeOf } = factsOf(page);
  const pieces: { text: string; part: Id | null }[] = [
    ...[page.title, page.summary, role, madeWith, madeOf].map((text) => ({ text, part: null })),
    ...page.parts.flatMap((part) =>
      wordsIn(part, materials).map((text) => ({ text, part: showsProof(part) ? part.id : null })),
    ),
  ];
  return pieces.flatMap(({ text, part }) =>
    text.split('\n').flatMap((line) =>
      [...sentences.segment(line)]
        .map(({ segment }) => segment.trim())
        .filter(Boolean)
        .map((sentence) => ({ text: sentence, page: page.id, part })),
    ),
  );
}
