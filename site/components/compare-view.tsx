import { useProperties } from '../render/declarations.ts';
import type { Picture } from '../render/page-input.ts';
import { PictureView } from './picture-view.tsx';

interface CompareViewProps {
  before: Picture;
  after: Picture;
  names: { before: string; after: string };
  toRoot: string;
}

/**
 * Two pictures of one thing: side by side on paper and without a script, and with one as a pair that a slider uncovers.
 */
export function CompareView({ before, after, names, toRoot }: CompareViewProps) {
  const attach = useProperties();
  const ratio = +(after.widthPx / after.heightPx).toFixed(4);
  return (
    <div {...attach({ '--ar': ratio }, 'compare')} data-compare>
      {(['before', 'after'] as const).map((which) => {
        const picture = which === 'before' ? before : after;
        return (
          <figure key={which} className={which}>
            <PictureView picture={picture} toRoot={toRoot} sizes="(min-width: 1100px) 1000px, 92vw" />
            <figcaption>
              <b>{names[which]}</b> {picture.caption}
            </figcaption>
          </figure>
        );
      })}
    </div>
  );
}
