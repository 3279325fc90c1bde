import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import type { StarterKey } from '#core/parts/starter-names.ts';
import { fetched } from '../../ui/fetched.tsx';

const StarterChoice = fetched(() => import('./starter-choice.tsx').then((module) => module.StarterChoice));

interface StarterDialogProps {
  onStart: (starter: StarterKey) => void;
  /** What opens it. */
  children: ReactNode;
}

/** Outlines to begin a case page with, each shown as the tail it makes. */
export function StarterDialog({ onStart, children }: StarterDialogProps) {
  const [open, setOpen] = useState(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>{children}</Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content className="dialog wide starter-dialog">
          <div className="flex items-center gap-3">
            <Dialog.Title className="flex-1">Start from an outline</Dialog.Title>
            <Dialog.Close className="icon-btn" aria-label="Close">
              <X size={18} aria-hidden="true" />
            </Dialog.Close>
          </div>
          <Dialog.Description className="note mb-3">
            An outline asks for one thing after another. Readers get only what you fill in, and you can move
            or take off every part.
          </Dialog.Description>
          <StarterChoice
            onStart={(starter) => {
              setOpen(false);
              onStart(starter);
            }}
          />
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
