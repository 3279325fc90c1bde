import { useContext } from 'react';
import { directionOf } from '#core/language/language.ts';
import { useSpoken } from '../../render/words.ts';
import { WaysContext } from '../../render/ways.ts';
import type { PartViewProps } from '../part-drawing.ts';

/** One half of what the maker says of themselves; a sentence that is proved leads to what proves it. */
export function TellingPart({ part, toRoot }: PartViewProps<'telling'>) {
  const { words, lang } = useSpoken();
  const ways = useContext(WaysContext);
  const [before, after] = words.shownIn;
  return (
    <div className={`on-grid telling ${part.half}`}>
      <h2 {...lang}>{part.half === 'work' ? words.whyMe : words.whoIAm}</h2>
      <div className="in-words">
        {part.answers.map(({ text, proof }, at) => {
          const way = proof === null ? undefined : ways[proof];
          return (
            <div key={at}>
              <p>{text}</p>
              {way && (
                <p className="meta" {...lang}>
                  {before}
                  <a
                    href={toRoot + way.path || './'}
                    {...(way.language !== null && { lang: way.language, dir: directionOf(way.language) })}
                  >
                    {way.title}
                  </a>
                  {after}
                </p>
              )}
            </div>
          );
        })}
      </div>
    </div>
  );
}
