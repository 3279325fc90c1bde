import type { Material } from '#core/materials/material.ts';
import { Dialog } from '../../ui/dialog.tsx';
import { materialName, MaterialPicture } from '../../ui/material-picture.tsx';

/** A picture large, with its look-alikes beside it. */
export function LookCloser({
  pictures,
  numberOf,
  onClose,
}: {
  pictures: readonly Material[];
  numberOf: (id: string) => string;
  onClose: () => void;
}) {
  return (
    <Dialog
      title={pictures.length > 1 ? `${pictures.length} look alike` : 'Closer'}
      className="w-[min(96vw,1180px)]"
      leavesFocus
      onClose={onClose}
    >
      <ul
        className="grid grid-cols-[repeat(var(--n),minmax(0,1fr))] gap-3.5 narrow:grid-cols-[minmax(0,1fr)]"
        style={{ '--n': Math.min(3, pictures.length) } as React.CSSProperties}
      >
        {pictures.map((material) => (
          <li key={material.id}>
            <MaterialPicture material={material} size={1400} className="h-auto w-full" />
            <p className="note">
              <span className="font-mono">{numberOf(material.id)}</span> {materialName(material)}
            </p>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
