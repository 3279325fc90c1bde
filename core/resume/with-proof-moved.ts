import type { Id } from '../id.ts';
import type { Part } from '../parts/parts.ts';
import type { Proof } from './proof.ts';

/**
 * A part whose proofs point at something that stands on another page now.
 *
 * @returns the very same part where none of its proofs does
 */
export function withProofMoved(part: Part, moved: Proof, to: Id): Part {
  if (part.kind !== 'entry') return part;
  const isIt = (proof: Proof | null) => proof?.page === moved.page && proof.part === moved.part;
  if (![...part.proofs, ...part.lines.map(({ proof }) => proof)].some(isIt)) return part;
  const there = { ...moved, page: to };
  return {
    ...part,
    proofs: part.proofs.map((proof) => (isIt(proof) ? there : proof)),
    lines: part.lines.map((line) => (isIt(line.proof) ? { ...line, proof: there } : line)),
  };
}
