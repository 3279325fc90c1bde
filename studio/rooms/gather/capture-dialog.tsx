import type { ReactNode } from 'react';
import { Dialog } from '../../ui/dialog.tsx';

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
  return (
    <Dialog title={title} onClose={onClose}>
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
    </Dialog>
  );
}
