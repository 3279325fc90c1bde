const characters = new Intl.Segmenter('und', { granularity: 'grapheme' });

/**
 * The beginning of a text, so long that nothing is cut in two: neither a letter from its accents nor a family into its
 * members (grapheme clusters, Unicode Standard Annex 29).
 *
 * @param most in UTF-16 units, as lengths are counted everywhere here
 */
export function cut(text: string, most: number): string {
  if (text.length <= most) return text;
  // Looking at a little more than what may stay tells where the last whole character ends.
  let end = 0;
  for (const { index, segment } of characters.segment(text.slice(0, most + 32))) {
    if (index + segment.length > most) break;
    end = index + segment.length;
  }
  return text.slice(0, end);
}
