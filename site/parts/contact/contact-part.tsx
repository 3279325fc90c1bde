import { hostOf } from '#core/links/host-of.ts';
import { Paragraphs } from '../../components/paragraphs.tsx';
import { WriteForm } from '../../messages/write-form.tsx';
import { contactCardPath } from '../../render/site-paths.ts';
import { useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';

/** How to reach the maker. */
export function ContactPart({ part: { id, words, form, link, card }, toRoot }: PartViewProps<'contact'>) {
  const { words: own, lang } = useSpoken();
  return (
    <div className="on-grid contact">
      <h2 {...lang}>{own.contact}</h2>
      <div>
        <Paragraphs text={words} />
        {form && <WriteForm place={id} />}
        {(link || card) && (
          <ul>
            {link && (
              <li>
                <a href={link}>{hostOf(link) ?? link}</a>
              </li>
            )}
            {card && (
              <li>
                <a href={toRoot + contactCardPath} {...lang}>
                  {own.write.card}
                </a>
              </li>
            )}
          </ul>
        )}
      </div>
    </div>
  );
}
