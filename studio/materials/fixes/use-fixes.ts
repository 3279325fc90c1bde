import { useState } from 'react';
import { type Fixes, fixesSchema } from '#core/materials/fixes.ts';
import type { Material } from '#core/materials/material.ts';
import { useSite } from '../../api/site-context.tsx';
import { materialName } from '../../ui/material-picture.tsx';

/** The fixes of a material while they are changed: shown at once, saved when a hand lets go. */
export function useFixes(material: Material) {
  const { changeMaterial } = useSite();
  const [moving, setMoving] = useState<Fixes | null>(null);
  return {
    /** What is saved. */
    saved: material.fixes,
    /** What is shown: with a change that is still under way. */
    fixes: moving ?? material.fixes,
    move: (fixes: Fixes) => setMoving(fixes),
    save: (fixes: Fixes) => {
      setMoving(null);
      // Rounded here as the server rounds, so that the address of the picture stays the same after saving.
      const rounded = fixesSchema.parse(fixes);
      if (JSON.stringify(rounded) !== JSON.stringify(material.fixes))
        changeMaterial(
          material.id,
          { fixes: rounded },
          `Fixes of ${materialName(material)}`,
          `${material.id} fixes ${Object.keys(rounded).join(' ')}`.slice(0, 120),
        );
    },
  };
}
export type FixesState = ReturnType<typeof useFixes>;
