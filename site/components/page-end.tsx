import { licenceUrl } from '#core/credits/licence.ts';
import { licenceName } from '#core/credits/licence-name.ts';
import type { PageInput } from '../render/page-input.ts';
import { writePath } from '../render/site-paths.ts';
import { useSpoken } from '../render/words.ts';
import { Item } from './site-menu.tsx';

/** The end of every page: links that stand on many of them, whose work it is and on which terms, and how to reach its maker. */
export function PageEnd({ input }: { input: PageInput }) {
  const { words, lang, frame } = useSpoken();
  const { by, links, contact, rights, feed, toRoot } = input;
  const terms = rights && licenceUrl(rights);
  return (
    <footer className="end-line" {...frame}>
      {links.length > 0 && (
        <nav className="quick wrap" aria-label={words.links}>
          <ul>
            {links.map((link, at) => (
              <Item key={at} link={link} to={(path) => toRoot + path} />
            ))}
          </ul>
        </nav>
      )}
      <div className="end">
        <p>
          <span {...lang}>{words.rights(by)}</span>
          {rights && (
            <>
              {' '}
              {terms ? (
                <a href={terms} rel="license">
                  {licenceName(rights, words)}
                </a>
              ) : (
                <span {...lang}>{licenceName(rights, words)}</span>
              )}
              .
            </>
          )}
        </p>
        {(contact || feed !== null) && (
          <p className="ways">
            {contact && (
              <a href={contact === 'form' ? toRoot + writePath : contact} {...lang}>
                {words.contact}
              </a>
            )}
            {feed !== null && (
              <a href={toRoot + feed} type="application/atom+xml" {...lang}>
                {words.feed}
              </a>
            )}
          </p>
        )}
      </div>
    </footer>
  );
}
