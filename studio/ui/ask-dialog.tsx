import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { Shade } from './dialog.tsx';
import { useFocusBack } from './use-focus-back.ts';
import { Button } from './button.tsx';

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
    <Dialog.Root open={open} onOpenChange={(wanted) => !wanted && onClose()}>
      <Dialog.Portal>
        <Shade />
        <Dialog.Content
          className="dialog"
          role="alertdialog"
          // A press beside it is no answer.
          onInteractOutside={(event) => event.preventDefault()}
          {...focusBack}
        >
          <Dialog.Title className="mb-2">{title}</Dialog.Title>
          <Dialog.Description asChild>
            <div className="grid gap-2">{children}</div>
          </Dialog.Description>
          <div className="mt-5 flex flex-wrap gap-2">
            <Button asChild>
              <Dialog.Close>{leave}</Dialog.Close>
            </Button>
            {answers.map(({ name, run }) => (
              <Button key={name} asChild look="ink">
                <Dialog.Close onClick={run}>{name}</Dialog.Close>
              </Button>
            ))}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
