import { hostOf } from '#core/links/host-of.ts';
import { Paragraphs } from '../../components/paragraphs.tsx';
import { useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';

/** How to reach the maker. */
export function ContactPart({ part: { words, email, link } }: PartViewProps<'contact'>) {
  const { words: own, lang } = useSpoken();
  return (
    <div className="on-grid contact">
      <h2 {...lang}>{own.contact}</h2>
      <div>
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
    </div>
  );
}
