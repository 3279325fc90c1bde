import { plainWords } from '../words/plain-words.ts';
import type { Id } from '../id.ts';
import type { Material } from './material.ts';

/** A material is never changed, only replaced: its words are put together once. */
const known = new WeakMap<Material, string>();

function wordsOf(material: Material): string {
  const words = known.get(material) ?? allWordsOf(material);
  known.set(material, words);
  return words;
}

function allWordsOf(material: Material): string {
  const { title, caption, alt, tags, fileName, provenance, transcript } = material;
  return plainWords(
    [title, caption, alt, ...tags, fileName, provenance.title, provenance.maker, transcript].join(' '),
  );
}

/**
 * Materials in which every word of the query occurs somewhere; all of them for an empty query. Keeps their order.
 *
 * @param elsewhere materials that are known to be found by the query in words that are not at hand, such as a document's
 */
export function findMaterials(
  materials: readonly Material[],
  query: string,
  elsewhere: ReadonlySet<Id> = new Set(),
): Material[] {
  const wanted = plainWords(query).split(/\s+/).filter(Boolean);
  return materials.filter((material) => {
    if (elsewhere.has(material.id)) return true;
    const words = wordsOf(material);
    return wanted.every((word) => words.includes(word));
  });
}
