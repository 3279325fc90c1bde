import type { ReactNode } from 'react';
import type { Material } from '#core/materials/material.ts';
import { breakIntoRows, ratioRange, type RowFrame } from '#core/gallery/rows.ts';
import { MaterialPicture, shapeOf } from '../../ui/material-picture.tsx';

/** How the chosen pictures break into rows at one width: by the same rule as on the page. */
export function RowPreview({
  pictures,
  frame,
  title,
  phone = false,
}: {
  pictures: readonly Material[];
  frame: RowFrame;
  title: ReactNode;
  /** As on a phone. */
  phone?: boolean;
}) {
  const ratios = pictures.map((one) => {
    const { widthPx, heightPx } = shapeOf(one);
    return Math.min(ratioRange.most, Math.max(ratioRange.least, widthPx / heightPx));
  });
  const percent = (px: number) => `${(100 * px) / frame.widthPx}%`;
  return (
    <section>
      <h2 className="flex items-center gap-[7px] mb-2 font-text font-strong text-s leading-5">{title}</h2>
      <div
        className={`grid content-start gap-[5px] bg-raised ${phone ? 'rounded-[12px] border-[3px] border-ink px-2 py-2.5' : 'max-w-140 p-3'}`}
      >
        {ratios.length === 0 && <p className="note">Choose pictures to see how they hang.</p>}
        {ratios.length > 0 &&
          breakIntoRows(ratios, frame).map(({ from, to, heightPx }) => (
            <div key={from} className="flex" style={{ gap: percent(frame.gapPx) }}>
              {pictures.slice(from, to).map((one, at) => (
                <span
                  key={one.id}
                  className="flex-none"
                  style={{
                    width: percent((ratios[from + at] ?? 1) * heightPx),
                    aspectRatio: ratios[from + at],
                  }}
                >
                  <MaterialPicture material={one} alt="" className="h-full w-full object-cover" />
                </span>
              ))}
            </div>
          ))}
      </div>
    </section>
  );
}
