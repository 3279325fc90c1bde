import { plural } from '../words/plural.ts';
import type { PassTerms } from './pass.ts';
import { localTimeInWords } from '../dates/local-time-in-words.ts';

/**
 * What a pass does, from its reader's side, said before it is made.
 *
 * @param pages how many it opens with the next publish
 */
export function passInASentence(
  { from, until, mayDownload, mayComment }: Pick<PassTerms, 'from' | 'until' | 'mayDownload' | 'mayComment'>,
  { pages, password }: { pages: number; password: boolean },
): string {
  if (pages === 0) return 'Whoever has this link can read nothing: all that it would open is Private.';
  const when = [
    from === null ? '' : ` from ${localTimeInWords(from)}`,
    until === null ? '' : ` until ${localTimeInWords(until)}`,
  ].join('');
  const open = until === null ? ', until you switch it off' : '';
  const files = mayDownload ? '' : ' They can download no files.';
  const comments = mayComment ? ' They can comment; nobody sees it before you show it.' : '';
  return `Whoever has this link${password ? ' and the password' : ''} can read ${plural(pages, 'page')}${when}${open}.${files}${comments}`;
}
