import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Small headings without a large one above, and headings without words: who jumps from heading to heading gets lost. */
export function headingOrder({ page }: CheckedPage): Noticed[] {
  let largeAbove = false;
  return page.parts.flatMap((part): Noticed[] => {
    // Such a part has a heading of its own, as large as those of words.
    if ('title' in part && part.title.trim() !== '') largeAbove = true;
    if (part.kind !== 'words') return [];
    const at = { weight: 'nice' as const, part: part.id, material: null };
    const found: Noticed[] = [];
    for (const block of part.text.content) {
      if (block.type !== 'heading') continue;
      const words = (block.content ?? [])
        .map((node) => (node.type === 'text' ? node.text : ' '))
        .join('')
        .trim();
      if (words === '')
        found.push({
          ...{ ...at, of: 'empty' },
          says: 'A heading has no words.',
          why: 'A screen reader stops there and says nothing. Write it, or take it off.',
        });
      else if (block.attrs.level === 3 && !largeAbove)
        found.push({
          ...{ ...at, of: words },
          says: `“${words}” is a small heading without a large one above it.`,
          why: 'Who jumps from heading to heading misses a step. Make it a large one.',
        });
      if (block.attrs.level === 2) largeAbove = true;
    }
    return found;
  });
}
