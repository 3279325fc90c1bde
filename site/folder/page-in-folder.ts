import { wordsFor } from '#core/public-words/words-for.ts';

/** Whether an address leads to a folder below the same site: it has no scheme and no host, and ends with a folder's name. */
function toFolder(path: string): boolean {
  if (/^(?:[a-z][a-z\d+.-]*:|\/|\?)/i.test(path)) return false;
  const last = path.slice(path.lastIndexOf('/') + 1);
  return path !== '' && (last === '' || last === '.' || last === '..');
}

/** The same place with the name of the file that a server would find there by itself. */
function withIndex(href: string): string {
  const [, path = '', fragment = ''] = /^([^#]*)(#.*)?$/s.exec(href) ?? [];
  if (!toFolder(path)) return href;
  return `${path}${path.endsWith('/') ? '' : '/'}index.html${fragment}`;
}

/**
 * A page of a release as it lies in a folder, to be opened from a disk or put on any host: its links name files, because nothing
 * looks for `index.html` there, and its form says that this copy takes no messages. All else is as readers get it.
 *
 * @param html as the release has it
 * @param online where the page is on the server, for whom may know that; null: the copy tells nobody
 */
export function pageInFolder(html: string, online: string | null): string {
  const language = /<html[^>]* lang="([^"]*)"/.exec(html)?.[1] ?? 'en';
  const { write } = wordsFor(language);
  const instead = online === null ? '' : ` <a href="${online}">${write.online}</a>`;
  return html
    .replace(/<form class="write"[^]*?<\/form>/g, () => `<p>${write.copy}${instead}</p>`)
    .replace(/<a\s[^>]*>/g, (tag) =>
      tag.replace(
        /( href=")([^"]*)(")/,
        (_, before: string, href: string, after: string) => before + withIndex(href) + after,
      ),
    );
}
