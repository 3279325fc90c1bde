import { type ReactNode, useState } from 'react';
import type { StarterKey } from '#core/parts/starter-names.ts';
import { Dialog } from '../../ui/dialog.tsx';
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
    <Dialog
      title="Start from an outline"
      description="An outline asks for one thing after another. Readers get only what you fill in, and you can move or take off every part."
      wide
      open={open}
      onOpen={() => setOpen(true)}
      onClose={() => setOpen(false)}
      opener={children}
    >
      <StarterChoice
        onStart={(starter) => {
          setOpen(false);
          onStart(starter);
        }}
      />
    </Dialog>
  );
}
