import { hostOf } from '#core/links/host-of.ts';
import { Paragraphs } from './paragraphs.tsx';

/** How to reach the maker. */
export function ContactView({ words, email, link }: { words: string; email: string; link: string }) {
  return (
    <div className="contact">
      <Paragraphs text={words} />
      {(email || link) && (
        <ul>
          {email && (
            <li>
              <a href={`mailto:${email}`}>{email}</a>
            </li>
          )}
          {link && (
            <li>
              <a href={link}>{hostOf(link) ?? link}</a>
            </li>
          )}
        </ul>
      )}
    </div>
  );
}
