import type { MaterialOf } from '#core/materials/material.ts';
import { FocusFields, FocusStage, middle } from './focus-point.tsx';
import type { FixesState } from './use-fixes.ts';

/** The point that stays in view where a page shows only a piece of the picture. */
export function useFocusTab(material: MaterialOf<'picture'>, { fixes, save }: FixesState) {
  const focus = {
    focus: fixes.focus ?? middle,
    onChange: (point: { x: number; y: number }) => save({ ...fixes, focus: point }),
  };
  const controls = (
    <>
      <p className="note">
        Press on what must stay in view. Covers and openings show only a piece of a picture, and keep this
        point.
      </p>
      <FocusFields {...focus} />
    </>
  );
  return { stage: <FocusStage {...focus} material={material} fixes={fixes} />, controls };
}
