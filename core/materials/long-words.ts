import { cut } from '../words/cut.ts';
import type { Id } from '../id.ts';
import type { Material } from './material.ts';

/** Words up to this length are sent with everything else, in UTF-16 units. */
const shortUpTo = 600;
/** Of longer ones so much is, enough to name a note and to see that there are some. */
const beginningOf = 400;

/**
 * Materials with what is said in them cut to its beginning where it is long, for a list of all of them.
 *
 * @returns the materials, and the ids of those that are cut
 */
export function withoutLongWords(materials: readonly Material[]): { materials: Material[]; begun: Id[] } {
  const begun: Id[] = [];
  const cutOnes = materials.map((material): Material => {
    if (material.transcript.length <= shortUpTo) return material;
    begun.push(material.id);
    return { ...material, transcript: cut(material.transcript, beginningOf) };
  });
  return { materials: cutOnes, begun };
}
