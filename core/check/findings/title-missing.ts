import { rulesOfPage } from '../../pages/page-kinds.ts';
import type { CheckedPage } from '../checked-page.ts';
import type { Noticed } from '../noticed.ts';

/** Summaries longer than this push the picture off the screen of a phone (common practice: one sentence). */
const mostWords = 35;

/** What a page is called, and the line that says what it is about. */
export function titleMissing({ page }: CheckedPage): Noticed[] {
  const at = { part: null, material: null };
  const words = page.summary.split(/\s+/).filter(Boolean).length;
  return [
    ...(page.title.trim() === '' && !rulesOfPage(page).isFront
      ? [
          {
            ...{ ...at, weight: 'needed' as const, of: 'title' },
            says: 'The page has no title.',
            why: 'It is what a tab, a list and a search say of it. Name the thing, not the kind of thing.',
          },
        ]
      : []),
    ...(words === 0 && rulesOfPage(page).isWork
      ? [
          {
            ...{ ...at, weight: 'nice' as const, of: 'summary' },
            says: 'The page has no one-line summary.',
            why: 'It stands below the title, on the wall and where the link is passed on. Say what it is and for whom.',
          },
        ]
      : []),
    ...(words > mostWords
      ? [
          {
            ...{ ...at, weight: 'nice' as const, of: page.summary },
            says: `The summary runs to ${words} words.`,
            why: 'On a phone it pushes the picture off the screen. One sentence is enough; the rest can stand below.',
          },
        ]
      : []),
  ];
}
