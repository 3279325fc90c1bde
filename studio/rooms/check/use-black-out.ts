import type { Finding } from '#core/check/finding.ts';
import { fixesSchema, mostBlackOuts } from '#core/materials/fixes.ts';
import type { Material } from '#core/materials/material.ts';
import { useSite } from '../../api/site-context.tsx';
import { useUndoNotice } from '../../api/use-undo-notice.ts';
import { materialName } from '../../ui/material-picture.tsx';

/** Covers what was found in a picture or document, with an undo; null where that would not help or there are too many regions. */
export function useBlackOut({ blackOut }: Finding, material: Material | undefined): (() => void) | null {
  const { changeMaterial } = useSite();
  const undoNotice = useUndoNotice();
  if (!material || !blackOut) return null;
  const all = [...(material.fixes.blackOut ?? []), ...blackOut];
  if (all.length > mostBlackOuts) return null;
  return () => {
    changeMaterial(
      material.id,
      { fixes: fixesSchema.parse({ ...material.fixes, blackOut: all }) },
      `Fixes of ${materialName(material)}`,
      `${material.id} fixes from check`,
    );
    undoNotice('Blacked out. Readers get it so with your next publish.');
  };
}
