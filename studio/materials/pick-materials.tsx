import { Upload as UploadIcon, X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import type { Material, MaterialKind } from '#core/content/material.ts';
import { usedMaterials } from '#core/content/where-used.ts';
import { useSite } from '../api/site-context.tsx';
import { useUploads } from '../api/uploads-context.tsx';
import { DropFiles } from '../ui/drop-files.tsx';
import { materialName, MaterialPicture, shapeOf } from '../ui/material-picture.tsx';
import { UploadList } from '../ui/upload-list.tsx';

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
  const used = usedMaterials(state.pages);
  // A note is for its maker alone; nothing on a page shows one.
  const fits = (material: Material | undefined) =>
    kind === 'any' ? material !== undefined && material.kind !== 'note' : material?.kind === kind;
  const offered = [...state.materials]
    .filter((material) => fits(material) && !without.includes(material.id))
    .sort((a, b) => Number(used.has(a.id)) - Number(used.has(b.id)));
  const done = (ids: readonly string[]) => {
    // What was just brought may be of another kind.
    const fitting = ids.filter((id) => fits(now().materials.find((one) => one.id === id)));
    if (fitting.length > 0) onPick(fitting);
    setPicked([]);
    setOpen(false);
  };
  const toggle = (id: string) => {
    if (most === 1) return done([id]);
    setPicked((old) => (old.includes(id) ? old.filter((one) => one !== id) : [...old, id].slice(-most)));
  };
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>{children}</Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content className="dialog wide" aria-describedby={undefined}>
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
                <div className="mb-3 flex items-center gap-3">
                  <Dialog.Title className="flex-1">{title}</Dialog.Title>
                  {kind !== 'link' && (
                    <button type="button" className="btn" onClick={choose}>
                      <UploadIcon size={16} aria-hidden="true" /> Bring new ones
                    </button>
                  )}
                  <Dialog.Close className="icon-btn" aria-label="Close">
                    <X size={18} aria-hidden="true" />
                  </Dialog.Close>
                </div>
                <UploadList />
                {offered.length === 0 && (
                  <p className="note py-6">
                    {kind === 'link'
                      ? 'No links gathered yet.'
                      : 'Nothing gathered yet. Bring new ones, or drop them here.'}
                  </p>
                )}
                <ul className="tiles max-h-[52vh] overflow-auto p-1">
                  {offered.map((material) => {
                    const at = picked.indexOf(material.id) + 1;
                    const shown = shapeOf(material);
                    return (
                      <li
                        key={material.id}
                        className="tile"
                        data-chosen={at > 0 || undefined}
                        style={{ '--r': shown.widthPx / shown.heightPx } as React.CSSProperties}
                      >
                        <button
                          type="button"
                          className="tile-picture"
                          aria-pressed={at > 0}
                          aria-label={materialName(material)}
                          onClick={() => toggle(material.id)}
                        >
                          <MaterialPicture
                            material={material}
                            alt=""
                            className="h-full w-full object-cover"
                          />
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
                {most > 1 && (
                  <div className="mt-4 flex items-center gap-3">
                    <button
                      type="button"
                      className="btn go"
                      disabled={picked.length === 0}
                      onClick={() => done(picked)}
                    >
                      Place {picked.length || ''} {picked.length === 1 ? 'picture' : 'pictures'}
                    </button>
                  </div>
                )}
              </>
            )}
          </DropFiles>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
