import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { previewPath } from '#contract/material-paths.ts';
import type { BlackOut, Region } from '#core/materials/fixes.ts';
import type { Material } from '#core/materials/material.ts';
import { RegionFields } from './region-fields.tsx';
import { RegionStage } from './region-stage.tsx';
import type { FixesState } from './use-fixes.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';

const fresh: Region = { x: 0.35, y: 0.45, width: 0.3, height: 0.1 };

/**
 * What nobody may see. It is drawn on the upright original, so that it covers the same thing however the picture is
 * turned and cropped later.
 *
 * @param page page of a document, from 0; 0 for a picture
 */
export function useBlackOutTab(
  material: Material,
  { fixes, move, save }: FixesState,
  page: number,
  sizePx: { widthPx: number; heightPx: number },
) {
  const [chosen, setChosen] = useState<{ page: number; at: number } | null>(null);
  const selected = chosen?.page === page ? chosen.at : null;
  const setSelected = (at: number | null) => setChosen(at === null ? null : { page, at });
  const all = fixes.blackOut ?? [];
  const here = all.filter((one) => one.page === page);
  const withHere = (regions: readonly Region[]) => ({
    ...fixes,
    blackOut: [
      ...all.filter((one) => one.page !== page),
      ...regions.map(({ x, y, width, height }): BlackOut => ({ page, x, y, width, height })),
    ],
  });
  const { brightness, contrast } = fixes;
  const lit = { ...(brightness ? { brightness } : {}), ...(contrast ? { contrast } : {}) };
  const stage = (
    <RegionStage
      kind="black-out"
      regions={here}
      selected={selected}
      mayDraw
      onSelect={setSelected}
      onLive={(regions) => {
        move(withHere(regions));
        if (regions.length > here.length) setSelected(regions.length - 1);
      }}
      onDone={(regions) => save(withHere(regions))}
    >
      <img
        src={`/${previewPath({ id: material.id, fixes: lit }, 1400, { page })}`}
        width={sizePx.widthPx}
        height={sizePx.heightPx}
        alt=""
        draggable={false}
      />
    </RegionStage>
  );
  const controls = (
    <>
      <p className="note">
        Draw over what nobody should see. It is black in every file that is published, and nothing of it is
        left underneath. The original stays in your studio.
      </p>
      <Button
        small
        className="justify-self-start"
        onClick={() => {
          save(withHere([...here, fresh]));
          setSelected(here.length);
        }}
      >
        <Plus size={15} aria-hidden="true" /> Add a region
      </Button>
      <ul className="grid gap-3">
        {here.map((region, at) => (
          <li
            key={at}
            className="border-t border-t-line pt-1.5 data-selected:border-t-vermilion"
            data-selected={at === selected || undefined}
          >
            <div className="flex items-center">
              <button
                type="button"
                className="grow text-left font-[550]"
                aria-expanded={at === selected}
                onClick={() => setSelected(at === selected ? null : at)}
              >
                Region {at + 1}
              </button>
              <IconButton
                small
                label={`Take region ${at + 1} off`}
                onClick={() => {
                  save(withHere(here.filter((_, other) => other !== at)));
                  setSelected(null);
                }}
              >
                <Trash2 size={15} aria-hidden="true" />
              </IconButton>
            </div>
            {at === selected && (
              <RegionFields
                region={region}
                of={`Region ${at + 1}`}
                onChange={(to) => save(withHere(here.map((one, other) => (other === at ? to : one))))}
              />
            )}
          </li>
        ))}
      </ul>
    </>
  );
  return { stage, controls };
}
