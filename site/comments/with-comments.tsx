import { renderToStaticMarkup } from 'react-dom/server';
import { SpokenContext, spokenIn } from '../render/words.ts';
import type { Comments } from './comment-form.ts';
import { CommentsView } from './comments-view.tsx';

/** The language a released page is in. */
export const languageOf = (html: string): string => /<html[^>]* lang="([^"]*)"/.exec(html)?.[1] ?? 'en';

/**
 * A released page with what readers say of it at its end. The rest of it stays as it is, byte by byte, so that its content security
 * policy holds; nothing of a comment is ever in a release.
 *
 * @param html as the release has it
 */
export function withComments(html: string, comments: Comments): string {
  const end = html.lastIndexOf('</main>');
  if (end < 0) return html;
  const drawn = renderToStaticMarkup(
    <SpokenContext value={spokenIn(languageOf(html))}>
      <CommentsView {...comments} />
    </SpokenContext>,
  );
  return `${html.slice(0, end)}${drawn}${html.slice(end)}`;
}
