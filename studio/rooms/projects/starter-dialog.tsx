import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { type ReactNode, useState } from 'react';
import { type StarterKey, starterKeys, starters } from '#core/parts/starters.ts';
import { fetched } from '../../parts/fetched.tsx';

const StarterTail = fetched(() => import('./starter-tail.tsx').then((module) => module.StarterTail));

interface StarterDialogProps {
  onStart: (starter: StarterKey) => void;
  /** What opens it. */
  children: ReactNode;
}

/** Outlines to begin a case page with, each shown as the tail it makes. */
export function StarterDialog({ onStart, children }: StarterDialogProps) {
  const [chosen, setChosen] = useState<StarterKey>('object');
  const [open, setOpen] = useState(false);
  const starter = starters[chosen];
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
          <div className="starter-choice">
            <fieldset>
              <legend className="sr-only">What is the project?</legend>
              {starterKeys.map((key) => (
                <label key={key} className="starter">
                  <input
                    type="radio"
                    name="starter"
                    checked={chosen === key}
                    onChange={() => setChosen(key)}
                  />
                  <b>{starters[key].name}</b>
                  <small>{starters[key].about}</small>
                </label>
              ))}
            </fieldset>
            <StarterTail starter={starter} />
          </div>
          <p className="mt-4">
            <button
              type="button"
              className="btn go"
              onClick={() => {
                setOpen(false);
                onStart(chosen);
              }}
            >
              Start with this outline
            </button>
          </p>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
