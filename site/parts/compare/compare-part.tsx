import { useProperties } from '../../render/declarations.ts';
import { PictureView } from '../../components/picture-view.tsx';
import type { PartViewProps } from '../part-drawing.ts';

/**
 * Two pictures of one thing: side by side on paper and without a script, and with one as a pair that a slider uncovers.
 */
export function ComparePart({ part, pictures, toRoot }: PartViewProps<'compare'>) {
  const attach = useProperties();
  const before = pictures[part.before ?? ''];
  const after = pictures[part.after ?? ''];
  if (!before || !after) return null;
  const names = { before: part.beforeName, after: part.afterName };
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
