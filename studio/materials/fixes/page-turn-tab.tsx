import { RotateCcw, RotateCw } from 'lucide-react';
import { previewPath } from '#contract/material-paths.ts';
import type { MaterialOf } from '#core/materials/material.ts';
import { pageSource, withPageTurned } from '#core/gallery/picture-source.ts';
import type { FixesState } from './use-fixes.ts';
import { Button } from '../../ui/button.tsx';
import './region-stage.css';

/**
 * A page that was scanned lying on its side, set upright.
 *
 * @param page from 0
 */
export function usePageTurnTab(material: MaterialOf<'document'>, { fixes, save }: FixesState, page: number) {
  const source = pageSource({ ...material, fixes }, page);
  const stage = source && (
    <div className="region-stage">
      <img
        src={`/${previewPath({ id: material.id, fixes }, 1400, { page })}`}
        width={source.widthPx}
        height={source.heightPx}
        alt={`Page ${page + 1} as readers get it`}
        draggable={false}
      />
    </div>
  );
  const turn = (by: 90 | -90) => save(withPageTurned(fixes, page, by));
  const controls = (
    <>
      <p className="note">For a page that was scanned lying on its side. The other pages stay as they are.</p>
      <div className="flex flex-wrap gap-2">
        <Button small onClick={() => turn(-90)}>
          <RotateCcw size={15} aria-hidden="true" /> Turn left
        </Button>
        <Button small onClick={() => turn(90)}>
          <RotateCw size={15} aria-hidden="true" /> Turn right
        </Button>
      </div>
    </>
  );
  return { stage, controls };
}
