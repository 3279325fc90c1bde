import { Crosshair } from 'lucide-react';
import { useState } from 'react';
import { noCover, type Cover } from '#core/pages/cover.ts';
import type { ShownPage } from '#core/pages/page.ts';
import { useSite } from '../api/site-context.tsx';
import { Dialog } from '../ui/dialog.tsx';
import { coverPicture } from './cover-picture.ts';
import { MaterialPicture } from '../ui/material-picture.tsx';
import { FocusFields, FocusStage, middle } from '../materials/fixes/focus-point.tsx';
import { PickMaterials } from '../materials/pick-materials.tsx';
import { Button } from '../ui/button.tsx';

interface CoverFieldProps {
  page: ShownPage;
  name?: string;
  /** What is said where it has no picture of its own, nor any on it. */
  without?: string;
}

/** The picture that stands for a page on the wall and where a link to it is shown, and the point of it that is kept. */
export function CoverField({ page, name = 'Cover', without = 'No picture yet.' }: CoverFieldProps) {
  const { state, changePage } = useSite();
  const [aiming, setAiming] = useState(false);
  const own = page.cover.picture;
  const shown = coverPicture(page, state.materials);
  const picture = shown?.picture;
  const focus = shown?.focus ?? middle;
  const set = (cover: Cover) =>
    changePage(page.id, { cover }, `Cover of ${page.title || 'a page'}`, `${page.id} cover`);
  return (
    <div role="group" aria-labelledby="cover-name" className="grid gap-2">
      <p className="field-name" id="cover-name">
        {name}
      </p>
      {picture ? (
        <div
          className="aspect-4/3 overflow-hidden bg-sunk"
          style={{ '--focus-at': `${focus.x * 100}% ${focus.y * 100}%` } as React.CSSProperties}
        >
          <MaterialPicture material={picture} className="h-full w-full object-cover object-(--focus-at)" />
        </div>
      ) : (
        <p className="note">{without}</p>
      )}
      <div className="flex flex-wrap gap-2">
        <PickMaterials
          title="Choose a cover"
          most={1}
          onPick={([id]) => id && set({ picture: id, focus: null })}
        >
          <Button small>{picture ? 'Another picture' : 'Choose a picture'}</Button>
        </PickMaterials>
        {picture && (
          <Dialog
            title="What stays in view"
            wide
            open={aiming}
            onOpen={() => setAiming(true)}
            onClose={() => setAiming(false)}
            opener={
              <Button small>
                <Crosshair size={15} aria-hidden="true" />
                Keep in view
              </Button>
            }
          >
            <div className="grid gap-3">
              <FocusStage
                material={picture}
                fixes={picture.fixes}
                focus={focus}
                onChange={(point) => set({ picture: picture.id, focus: point })}
              />
              <p className="note">
                Press on what must stay in view where only a piece of the cover is shown. It is kept for this
                cover only.
              </p>
              <FocusFields focus={focus} onChange={(point) => set({ picture: picture.id, focus: point })} />
            </div>
          </Dialog>
        )}
        {own !== null && (
          <Button look="bare" small onClick={() => set(noCover)}>
            The first picture again
          </Button>
        )}
      </div>
    </div>
  );
}
