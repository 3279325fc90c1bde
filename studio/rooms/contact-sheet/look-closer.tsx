import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { Material } from '#core/content/material.ts';
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
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content
          className="dialog closer"
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => event.preventDefault()}
        >
          <div className="mb-3 flex items-center gap-3">
            <Dialog.Title className="flex-1">
              {pictures.length > 1 ? `${pictures.length} look alike` : 'Closer'}
            </Dialog.Title>
            <Dialog.Close className="icon-btn" aria-label="Close">
              <X size={18} aria-hidden="true" />
            </Dialog.Close>
          </div>
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
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
