import { stemsIn } from '../../words/stems.ts';
import type { Proof } from '../proof.ts';
import type { WrittenSentence } from './written-sentences.ts';

/** Something that may prove a skill, with the sentence that says so. */
export interface ProposedProof {
  proof: Proof;
  sentence: string;
  /** Words of the sentence that it has in common with the skill, as they stand there. */
  shared: string[];
}

/** So much of what a skill says, weighed by how rare its words are, has to stand in a sentence. */
const leastShare = 0.5;
const mostProposals = 3;

const keyOf = ({ page, part }: Proof) => `${page} ${part ?? ''}`;

/** Sentences that can be asked which of them speak of a skill. */
export interface SentenceIndex {
  sentences: readonly (WrittenSentence & { stems: ReadonlySet<string> })[];
  /** In how many sentences a stem stands. */
  found: ReadonlyMap<string, number>;
}

/** Reads sentences once for all skills. */
export function sentenceIndex(sentences: readonly WrittenSentence[]): SentenceIndex {
  const found = new Map<string, number>();
  const read = sentences.map((sentence) => {
    const stems = new Set(stemsIn(sentence.text));
    for (const stem of stems) found.set(stem, (found.get(stem) ?? 0) + 1);
    return { ...sentence, stems };
  });
  return { sentences: read, found };
}

/**
 * What may prove a skill: pages and parts with a sentence in which its words stand, best first. A word counts the more the fewer
 * sentences it stands in (inverse document frequency; K. Spärck Jones, A statistical interpretation of term specificity, 1972).
 * Proposals and no proofs: nothing is tied by them.
 *
 * @param skill as its maker calls it
 * @param without what proves it already, or was said not to
 */
export function proposedProofs(
  skill: string,
  { sentences, found }: SentenceIndex,
  without: readonly Proof[],
): ProposedProof[] {
  const wanted = [...new Set(stemsIn(skill))];
  const weight = (stem: string) => Math.log(1 + (sentences.length + 1) / (1 + (found.get(stem) ?? 0)));
  const all = wanted.reduce((sum, stem) => sum + weight(stem), 0);
  if (all === 0) return [];
  const known = new Set(without.map(keyOf));
  const best = new Map<string, { sentence: (typeof sentences)[number]; share: number }>();
  for (const sentence of sentences) {
    const key = keyOf(sentence);
    if (known.has(key)) continue;
    const share = wanted.reduce((sum, stem) => sum + (sentence.stems.has(stem) ? weight(stem) : 0), 0) / all;
    if (share >= leastShare && share > (best.get(key)?.share ?? 0)) best.set(key, { sentence, share });
  }
  return [...best.values()]
    .sort((a, b) => b.share - a.share)
    .slice(0, mostProposals)
    .map(({ sentence: { text, page, part } }) => ({
      proof: { page, part },
      sentence: text,
      shared: (text.match(/\p{L}[\p{L}\p{M}\p{N}]+/gu) ?? []).filter((word) =>
        stemsIn(word).some((stem) => wanted.includes(stem)),
      ),
    }));
}
