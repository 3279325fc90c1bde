import { previewPath } from '#contract/material-paths.ts';
import type { Fixes } from '#core/materials/fixes.ts';
import type { MaterialOf } from '#core/materials/material.ts';
import { shownSize } from '#core/gallery/fixed-frame.ts';
import { NumberField } from './number-field.tsx';
import './region-stage.css';

interface Point {
  x: number;
  y: number;
}
export const middle: Point = { x: 0.5, y: 0.5 };
const rounded = (share: number): number => Math.round(Math.min(1, Math.max(0, share)) * 1000) / 1000;

interface FocusProps {
  focus: Point;
  onChange: (focus: Point) => void;
}

/** A picture with the point that stays in view; a press moves it. */
export function FocusStage({
  material,
  fixes,
  focus,
  onChange,
}: FocusProps & { material: MaterialOf<'picture'>; fixes: Fixes }) {
  const size = shownSize(material.facts, fixes);
  return (
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
          onChange({
            x: rounded((event.clientX - box.left) / box.width),
            y: rounded((event.clientY - box.top) / box.height),
          });
        }}
      />
      <i
        className="absolute w-7.5 h-7.5 -m-[15px] border-[3px] border-[#fffdf8] rounded-full shadow-[0_0_0_2px_var(--ink),inset_0_0_0_2px_var(--ink)] pointer-events-none"
        style={{ left: `${focus.x * 100}%`, top: `${focus.y * 100}%` }}
      />
    </div>
  );
}

/** The same point as numbers, for the keyboard. */
export function FocusFields({ focus, onChange }: FocusProps) {
  return (
    <div className="grid grid-cols-[1fr_1fr] gap-x-3 gap-y-2">
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
          onChange={(value) => onChange({ ...focus, [key]: rounded(value / 100) })}
        />
      ))}
    </div>
  );
}
