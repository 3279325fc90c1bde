import type { Material } from './material.ts';

/** Letters without accents and case, so that "cafe" finds "Café". */
const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLocaleLowerCase('en');

function wordsOf(material: Material): string {
  const { title, caption, alt, tags, fileName, provenance } = material;
  return plain([title, caption, alt, ...tags, fileName, provenance.title, provenance.maker].join(' '));
}

/** Materials in which every word of the query occurs somewhere; all of them for an empty query. Keeps their order. */
export function findMaterials(materials: readonly Material[], query: string): Material[] {
  const wanted = plain(query).split(/\s+/).filter(Boolean);
  return materials.filter((material) => {
    const words = wordsOf(material);
    return wanted.every((word) => words.includes(word));
  });
}
