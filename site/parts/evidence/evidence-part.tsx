import { LargeLink } from '../../components/large-link.tsx';
import { MediumView } from '../../components/medium-view.tsx';
import { Paragraphs } from '../../components/paragraphs.tsx';
import { PictureView } from '../../components/picture-view.tsx';
import { useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';

/** A material with what its maker says about it: what it is, why it was chosen, what it shows. */
export function EvidencePart({ part, pictures, media, toRoot }: PartViewProps<'evidence'>) {
  const { words, lang } = useSpoken();
  const medium = media[part.material ?? ''];
  const picture = part.material === null ? undefined : pictures[part.material];
  const answers = (['what', 'why', 'shows'] as const).filter((one) => part[one].trim() !== '');
  const shows = picture !== undefined || medium !== undefined;
  return (
    <div className={`on-grid evidence ${shows && answers.length > 0 ? 'two' : 'one'}`}>
      <p className="label" {...lang}>
        {words.evidence}
      </p>
      {picture && (
        <figure>
          <LargeLink picture={picture} toRoot={toRoot}>
            <PictureView
              picture={picture}
              toRoot={toRoot}
              sizes="(min-width: 1344px) 660px, (min-width: 704px) 46vw, 92vw"
            />
          </LargeLink>
          {picture.caption && <figcaption>{picture.caption}</figcaption>}
        </figure>
      )}
      {medium && (
        <div className="half">
          <MediumView medium={medium} toRoot={toRoot} />
        </div>
      )}
      {answers.length > 0 && (
        <dl>
          {answers.map((one) => (
            <div key={one}>
              <dt {...lang}>{words[one]}</dt>
              <dd>
                <Paragraphs text={part[one]} />
              </dd>
            </div>
          ))}
        </dl>
      )}
    </div>
  );
}
