import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { phaseName } from '#core/moments/phases.ts';
import { en } from '#core/public-words/en.ts';
import { useSite } from '../../api/site-context.tsx';
import { newId } from '../../parts/new-id.ts';
import { Button } from '../../ui/button.tsx';
import { DialogFrame, DialogHead } from '../../ui/dialog.tsx';
import { Field } from '../../ui/field.tsx';
import { IconButton } from '../../ui/icon-button.tsx';

/** Names and order of the phases, which are those of the whole site. */
export function PhasesDialog({ onClose }: { onClose: () => void }) {
  const { state, changeSite } = useSite();
  const { phases } = state.site;
  const set = (next: typeof phases, label = 'Phases') => changeSite({ phases: next }, label);
  const move = (from: number, to: number) => {
    const next = [...phases];
    next.splice(to, 0, ...next.splice(from, 1));
    set(next, 'Order of phases');
  };
  return (
    <DialogFrame onClose={onClose}>
      <DialogHead title="Phases" />
      <p className="note mb-3">
        They are the same on all pages of this site. A moment whose phase is taken off is in none until the
        phase is back.
      </p>
      <ol className="grid gap-2">
        {phases.map((phase, at) => {
          const name = phaseName(phase, en.process.phases, 'Phase without a name');
          return (
            <li key={phase.id} className="flex items-end gap-2">
              <div className="flex-1">
                <Field
                  label={`Phase ${at + 1}`}
                  placeholder={name}
                  value={phase.name}
                  maxLength={40}
                  onChange={({ target }) =>
                    set(phases.map((one) => (one.id === phase.id ? { ...one, name: target.value } : one)))
                  }
                />
              </div>
              <IconButton label={`${name} earlier`} disabled={at === 0} onClick={() => move(at, at - 1)}>
                <ArrowUp size={16} aria-hidden="true" />
              </IconButton>
              <IconButton
                label={`${name} later`}
                disabled={at === phases.length - 1}
                onClick={() => move(at, at + 1)}
              >
                <ArrowDown size={16} aria-hidden="true" />
              </IconButton>
              <IconButton
                label={`Take ${name} off`}
                onClick={() =>
                  set(
                    phases.filter(({ id }) => id !== phase.id),
                    `${name} taken off`,
                  )
                }
              >
                <Trash2 size={16} aria-hidden="true" />
              </IconButton>
            </li>
          );
        })}
      </ol>
      {phases.length < 20 && (
        <Button small className="mt-3" onClick={() => set([...phases, { id: newId(), name: '' }], 'A phase')}>
          <Plus size={15} aria-hidden="true" />A phase
        </Button>
      )}
    </DialogFrame>
  );
}
