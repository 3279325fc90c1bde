import { previewPath } from '#contract/material-paths.ts';
import type { MaterialOf } from '#core/content/material.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { NumberField } from './number-field.tsx';
import type { FixesState } from './use-fixes.ts';

const middle = { x: 0.5, y: 0.5 };
const rounded = (share: number): number => Math.round(Math.min(1, Math.max(0, share)) * 1000) / 1000;

/** The point that stays in view where a page shows only a piece of the picture. */
export function useFocusTab(material: MaterialOf<'picture'>, { fixes, save }: FixesState) {
  const focus = fixes.focus ?? middle;
  const size = shownSize(material.facts, fixes);
  const stage = (
    <div className="region-stage">
      <img
        src={`/${previewPath({ id: material.id, fixes }, 1400)}`}
        width={size.widthPx}
        height={size.heightPx}
        alt=""
        draggable={false}
        className="cursor-crosshair"
        onPointerDown={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          save({
            ...fixes,
            focus: {
              x: rounded((event.clientX - box.left) / box.width),
              y: rounded((event.clientY - box.top) / box.height),
            },
          });
        }}
      />
      <i className="focus-point" style={{ left: `${focus.x * 100}%`, top: `${focus.y * 100}%` }} />
    </div>
  );
  const controls = (
    <>
      <p className="note">
        Press on what must stay in view. Covers and openings show only a piece of a picture, and keep this
        point.
      </p>
      <div className="region-fields">
        {(
          [
            ['x', 'From left'],
            ['y', 'From top'],
          ] as const
        ).map(([key, name]) => (
          <NumberField
            key={key}
            label={name}
            unit="%"
            value={Math.round(focus[key] * 1000) / 10}
            least={0}
            most={100}
            step={1}
            onChange={(value) => save({ ...fixes, focus: { ...focus, [key]: rounded(value / 100) } })}
          />
        ))}
      </div>
    </>
  );
  return { stage, controls };
}
