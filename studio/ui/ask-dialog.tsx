import { AlertDialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { useFocusBack } from './use-focus-back.ts';

export interface Answer {
  /** What it does, as a verb: "Delete for readers now". */
  name: string;
  run: () => void;
}

/** A question that has to be answered, in a sentence, with what each answer does. Escape and "Leave it" change nothing. */
export function AskDialog({
  open,
  title,
  children,
  answers,
  leave = 'Leave it as it is',
  onClose,
}: {
  open: boolean;
  title: string;
  children: ReactNode;
  answers: readonly Answer[];
  leave?: string;
  onClose: () => void;
}) {
  const focusBack = useFocusBack();
  return (
    <AlertDialog.Root open={open} onOpenChange={(wanted) => !wanted && onClose()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="dialog-shade" />
        <AlertDialog.Content className="dialog" {...focusBack}>
          <AlertDialog.Title className="mb-2">{title}</AlertDialog.Title>
          <AlertDialog.Description asChild>
            <div className="grid gap-2">{children}</div>
          </AlertDialog.Description>
          <div className="mt-5 flex flex-wrap gap-2">
            <AlertDialog.Cancel asChild>
              <button type="button" className="btn">
                {leave}
              </button>
            </AlertDialog.Cancel>
            {answers.map(({ name, run }) => (
              <AlertDialog.Action asChild key={name}>
                <button type="button" className="btn ink" onClick={run}>
                  {name}
                </button>
              </AlertDialog.Action>
            ))}
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
