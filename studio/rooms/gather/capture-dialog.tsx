import type { ReactNode } from 'react';
import { Dialog } from '../../ui/dialog.tsx';
import { Button } from '../../ui/button.tsx';

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
          <Button className="justify-self-start" onClick={onAgain}>
            Try again
          </Button>
        </div>
      ) : (
        children
      )}
    </Dialog>
  );
}
