import { liesOver } from '#core/parts/lies-over.ts';
import { useProperties } from '../../render/declarations.ts';
import { PictureView } from '../../components/picture-view.tsx';
import type { PartViewProps } from '../part-drawing.ts';

/**
 * Two pictures of one thing: side by side, and with a script one over the other with a slider that uncovers it, where both have
 * one shape. They are never cut: the less wide they are, the less of the page they take.
 */
export function ComparePart({ part, pictures, toRoot }: PartViewProps<'compare'>) {
  const attach = useProperties();
  const before = pictures[part.before ?? ''];
  const after = pictures[part.after ?? ''];
  if (!before || !after) return null;
  const names = { before: part.beforeName, after: part.afterName };
  const ratio = +(after.widthPx / after.heightPx).toFixed(4);
  const place = ratio >= 1.4 ? 'in-wide' : ratio >= 1.15 ? 'in-rest' : 'in-text';
  return (
    <div
      {...attach({ '--ar': ratio }, `on-grid compare ${place}`)}
      data-compare={liesOver(before, after) ? '' : undefined}
    >
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
