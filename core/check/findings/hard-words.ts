import { readingEase } from '../../words/reading-ease.ts';
import { plainText } from '../../words/rich-text.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Below it a text is called very difficult (R. Flesch, The Art of Readable Writing, 1949). */
const hardBelow = 30;
/** Longer than this a paragraph fills the screen of a phone (common practice). */
const longest = 150;

/** English words that are hard to read, and paragraphs that are very long. */
export function hardWords({ page, site }: CheckedPage): Noticed[] {
  return page.parts.flatMap((part): Noticed[] => {
    if (part.kind !== 'words') return [];
    const at = { weight: 'nice' as const, part: part.id, material: null };
    const text = plainText(part.text);
    const ease = (page.language ?? site.language) === 'en' ? readingEase(text) : null;
    const counts = text.split('\n').map((line) => line.split(/\s+/).filter(Boolean).length);
    const long = Math.max(0, ...counts);
    return [
      ...(ease && ease.ease < hardBelow
        ? [
            {
              ...{ ...at, of: text },
              says: 'These words are very hard to read.',
              why: 'Long sentences of long words lose a reader who has thirty projects to look at. Cut the sentences first.',
            },
          ]
        : []),
      ...(long > longest
        ? [
            {
              ...{ ...at, of: text },
              says: `A paragraph is ${long} words long.`,
              why: 'It fills the whole screen of a phone. Break it where a new thought begins.',
            },
          ]
        : []),
    ];
  });
}
