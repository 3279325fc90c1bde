import { Upload as UploadIcon } from 'lucide-react';
import { type ReactNode, useMemo, useState } from 'react';
import { findMaterials } from '#core/materials/find-materials.ts';
import type { Material, MaterialKind } from '#core/materials/material.ts';
import { usedMaterials } from '#core/materials/where-used.ts';
import { useSite } from '../api/site-context.tsx';
import { useUploads } from '../api/uploads-context.tsx';
import { DialogFrame, DialogHead } from '../ui/dialog.tsx';
import { DropFiles } from '../ui/drop-files.tsx';
import { materialName, MaterialPicture, shapeOf } from '../ui/material-picture.tsx';
import { UploadList } from '../ui/upload-list.tsx';
import { useFound } from './use-found.ts';
import './tiles.css';
import { Button } from '../ui/button.tsx';

/** From so many on there is a field to find one in. */
const manyFrom = 24;
/** So many are drawn at first, and with each press more. */
const atOnce = 120;
const none: ReadonlySet<string> = new Set();

interface PickMaterialsProps {
  /** What is offered; pictures, if nothing is said. */
  kind?: MaterialKind | 'any';
  title: string;
  /** How many can be picked; 1 closes at the first. */
  most: number;
  /** Pictures that stand there already and are not offered again. */
  without?: readonly string[];
  onPick: (ids: string[]) => void;
  children: ReactNode;
}

/** Chooses materials of one kind from what was gathered, or brings new ones. */
export function PickMaterials({
  kind = 'picture',
  title,
  most,
  without = [],
  onPick,
  children,
}: PickMaterialsProps) {
  const { state, now } = useSite();
  const { add } = useUploads();
  const [open, setOpen] = useState(false);
  const [picked, setPicked] = useState<readonly string[]>([]);
  const [query, setQuery] = useState('');
  const [shown, setShown] = useState(atOnce);
  const used = useMemo(() => (open ? usedMaterials(state.pages) : none), [open, state.pages]);
  // A note is for its maker alone; nothing on a page shows one.
  const fits = (material: Material | undefined) =>
    kind === 'any' ? material !== undefined && material.kind !== 'note' : material?.kind === kind;
  const offered = open
    ? state.materials
        .filter((material) => fits(material) && !without.includes(material.id))
        .sort((a, b) => Number(used.has(a.id)) - Number(used.has(b.id)))
    : [];
  const elsewhere = useFound(state.site.id, query, state.revision);
  const found = findMaterials(offered, query, elsewhere);
  const done = (ids: readonly string[]) => {
    // What was just brought may be of another kind.
    const fitting = ids.filter((id) => fits(now().materials.find((one) => one.id === id)));
    if (fitting.length > 0) onPick(fitting);
    setPicked([]);
    change(false);
  };
  const change = (to: boolean) => {
    setOpen(to);
    setQuery('');
    setShown(atOnce);
  };
  const toggle = (id: string) => {
    if (most === 1) return done([id]);
    setPicked((old) => (old.includes(id) ? old.filter((one) => one !== id) : [...old, id].slice(-most)));
  };
  return (
    <DialogFrame wide open={open} onOpen={() => change(true)} onClose={() => change(false)} opener={children}>
      <DropFiles
        onFiles={(files) =>
          void add(files).then((ids) => {
            const fitting = ids.filter((id) => fits(now().materials.find((one) => one.id === id)));
            // Where one is wanted and one was brought, it is that one.
            if (most === 1 && fitting.length === 1) done(fitting);
            else setPicked((old) => [...new Set([...old, ...fitting])].slice(-most));
          })
        }
      >
        {(choose) => (
          <>
            <DialogHead
              title={title}
              tools={
                kind !== 'link' && (
                  <Button onClick={choose}>
                    <UploadIcon size={16} aria-hidden="true" /> Bring new ones
                  </Button>
                )
              }
            />
            <UploadList />
            {offered.length === 0 && (
              <p className="note py-6">
                {kind === 'link'
                  ? 'No links gathered yet.'
                  : 'Nothing gathered yet. Bring new ones, or drop them here.'}
              </p>
            )}
            {offered.length > manyFrom && (
              <label className="block mb-3">
                <span className="field-name">
                  Find{' '}
                  <em role="status">
                    {query ? `${found.length} of ${offered.length}` : `${offered.length} to choose from`}
                  </em>
                </span>
                <input
                  type="search"
                  className="input"
                  value={query}
                  onChange={(event) => {
                    setQuery(event.target.value);
                    setShown(atOnce);
                  }}
                />
              </label>
            )}
            {query && found.length === 0 && <p className="note py-6">Nothing gathered has these words.</p>}
            <ul className="tiles flex flex-wrap gap-2.5 max-h-[52vh] overflow-auto p-1">
              {found.slice(0, shown).map((material) => {
                const at = picked.indexOf(material.id) + 1;
                const shape = shapeOf(material);
                return (
                  <li
                    key={material.id}
                    className="tile"
                    data-chosen={at > 0 || undefined}
                    style={{ '--r': shape.widthPx / shape.heightPx } as React.CSSProperties}
                  >
                    <button
                      type="button"
                      className="tile-picture"
                      aria-pressed={at > 0}
                      aria-label={materialName(material)}
                      onClick={() => toggle(material.id)}
                    >
                      <MaterialPicture material={material} alt="" className="h-full w-full object-cover" />
                      {at > 0 && (
                        <span className="tile-choose" aria-hidden="true">
                          {at}
                        </span>
                      )}
                    </button>
                    <p className="tile-words">
                      <span className="truncate">{material.title}</span>
                      <span className="ml-auto">{used.has(material.id) ? 'used' : 'not used'}</span>
                    </p>
                  </li>
                );
              })}
            </ul>
            {found.length > shown && (
              <Button small className="mt-3" onClick={() => setShown(shown + atOnce)}>
                Show {Math.min(atOnce, found.length - shown)} more
              </Button>
            )}
            {most > 1 && (
              <div className="mt-4 flex items-center gap-3">
                <Button look="go" disabled={picked.length === 0} onClick={() => done(picked)}>
                  Place {picked.length || ''} {picked.length === 1 ? 'picture' : 'pictures'}
                </Button>
              </div>
            )}
          </>
        )}
      </DropFiles>
    </DialogFrame>
  );
}
