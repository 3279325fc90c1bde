import { linksIn } from '../../words/links-in.ts';
import { plainWords } from '../../words/plain-words.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Words that say nothing of where a link leads (WCAG 2.2, 2.4.4 and 2.4.9; the list is common practice). */
const empty = new Set([
  // Blanks that are linked, or nothing at all.
  '',
  ...[
    'here',
    'click here',
    'click',
    'this',
    'this link',
    'link',
    'more',
    'read more',
    'learn more',
    'see more',
  ],
  ...[
    'hier',
    'mehr',
    'weiterlesen',
    'klick hier',
    'ici',
    'cliquez ici',
    'en savoir plus',
    'aqui',
    'mas',
    'leer mas',
  ],
]);

/** Links in words that are heard or skimmed alone and say nothing then. */
export const linkWords = ({ page }: CheckedPage): Noticed[] =>
  page.parts.flatMap((part) => {
    if (part.kind !== 'words') return [];
    const found = linksIn(part.text).filter(({ text }) =>
      empty.has(plainWords(text.trim().replace(/[.…:!]$/u, ''))),
    );
    const [first] = found;
    if (!first) return [];
    return {
      ...{
        weight: 'nice' as const,
        part: part.id,
        material: null,
        of: found.map(({ href }) => href).join(' '),
      },
      says:
        first.text.trim() === ''
          ? 'A link has no words.'
          : found.length === 1
            ? `A link reads “${first.text.trim()}”.`
            : `${found.length} links read “${first.text.trim()}” or the like.`,
      why: 'Heard alone it says nothing about where it leads. Link the words that name the thing.',
    };
  });
