import { type ReactNode, useState } from 'react';
import { Dialog } from '../ui/dialog.tsx';
import { Button } from '../ui/button.tsx';

interface WriteDialogProps {
  title: string;
  /** The button that keeps it, and what stands there while it is being kept. */
  keep: string;
  busyWords: string;
  /** What happened instead of being kept; empty when it was. */
  onKeep: () => Promise<string>;
  onClose: () => void;
  children: (problem: { id: string; invalid: boolean }) => ReactNode;
}

/** The frame around something typed in Gather: kept by one button or Enter, with what went wrong beside it. */
export function WriteDialog({ title, keep, busyWords, onKeep, onClose, children }: WriteDialogProps) {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const onSubmit = async () => {
    if (busy) return;
    setBusy(true);
    setProblem('');
    const wrong = await onKeep();
    setBusy(false);
    if (wrong) setProblem(wrong);
    else onClose();
  };
  return (
    <Dialog title={title} onClose={onClose}>
      <form
        className="grid gap-3"
        noValidate
        onSubmit={(event) => {
          event.preventDefault();
          void onSubmit();
        }}
      >
        {children({ id: 'write-problem', invalid: problem !== '' })}
        {problem && (
          <p id="write-problem" className="field-problem" role="alert">
            {problem}
          </p>
        )}
        <p className="flex items-center gap-3">
          <Button type="submit" look="go" disabled={busy}>
            {keep}
          </Button>
          <span className="note" role="status">
            {busy && busyWords}
          </span>
        </p>
      </form>
    </Dialog>
  );
}
