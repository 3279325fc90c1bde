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
      className="closer"
      leavesFocus
      onClose={onClose}
    >
      <ul style={{ '--n': Math.min(3, pictures.length) } as React.CSSProperties}>
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
