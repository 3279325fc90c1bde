import { useState } from 'react';
import type { Finding } from '#core/check/finding.ts';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { Popover } from '../../ui/popover.tsx';

/** A finding is let stand with a reason, for whoever asks later; often oneself. */
export function LetStand({ finding, onWaive }: { finding: Finding; onWaive: (reason: string) => void }) {
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState('');
  return (
    <Popover
      label={`Let it stand: ${finding.says}`}
      open={open}
      onOpenChange={setOpen}
      opener={
        <Button small look="bare">
          Let it stand
          <span className="sr-only">: {finding.says}</span>
        </Button>
      }
    >
      <form
        className="grid w-72 gap-3 p-1"
        onSubmit={(event) => {
          event.preventDefault();
          setOpen(false);
          onWaive(reason);
        }}
      >
        <Field
          label="Why"
          hint="for yourself; nobody else reads it"
          maxLength={300}
          value={reason}
          onChange={({ target }) => setReason(target.value)}
        />
        <p className="note">It stays so until what it speaks of changes.</p>
        <Button look="ink" type="submit">
          Let it stand
        </Button>
      </form>
    </Popover>
  );
}
