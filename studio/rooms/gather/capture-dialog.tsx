import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { useFocusBack } from '../../ui/use-focus-back.ts';

/** The frame around the camera and the microphone. */
export function CaptureDialog({
  title,
  problem,
  onAgain,
  onClose,
  children,
}: {
  title: string;
  problem: string;
  onAgain: () => void;
  onClose: () => void;
  children: ReactNode;
}) {
  const focusBack = useFocusBack();
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-shade" />
        <Dialog.Content className="dialog" aria-describedby={undefined} {...focusBack}>
          <div className="mb-3 flex items-start justify-between gap-4">
            <Dialog.Title>{title}</Dialog.Title>
            <Dialog.Close className="icon-btn -mt-1 -mr-2" aria-label="Close">
              <X size={18} aria-hidden="true" />
            </Dialog.Close>
          </div>
          {problem ? (
            <div className="grid gap-3" role="alert">
              <p>{problem}</p>
              <button type="button" className="btn justify-self-start" onClick={onAgain}>
                Try again
              </button>
            </div>
          ) : (
            children
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
