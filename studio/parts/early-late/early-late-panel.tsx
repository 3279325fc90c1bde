import { Plus } from 'lucide-react';
import { type EarlyLateState, mostStates, newState } from '#core/parts/early-late.ts';
import { useSite } from '../../api/site-context.tsx';
import { AltTexts } from '../../materials/alt-texts.tsx';
import { PickMaterials } from '../../materials/pick-materials.tsx';
import { Button } from '../../ui/button.tsx';
import { Field } from '../../ui/field.tsx';
import { materialName } from '../../ui/material-picture.tsx';
import { RoughDateField } from '../../ui/rough-date-field.tsx';
import { newId } from '../new-id.ts';
import type { PartPanelProps } from '../part-settings.ts';

/** The day a material was made, as far as it is known. */
const dayOf = (takenOn: string | null): string | null => takenOn?.slice(0, 10) ?? null;

interface StateFieldsProps {
  state: EarlyLateState;
  at: number;
  onChange: (state: EarlyLateState) => void;
  onRemove: (() => void) | null;
}

/** The thing at one date. */
function StateFields({ state, at, onChange, onRemove }: StateFieldsProps) {
  const { state: site } = useSite();
  const material = site.materials.find(({ id }) => id === state.material);
  const today = new Date().toISOString().slice(0, 10);
  return (
    <fieldset className="grid min-w-0 content-start gap-2 border-t border-line pt-3">
      <legend className="float-left w-full font-firm">{at + 1}</legend>
      <Field
        label="What it is called"
        hint="besides its date"
        value={state.name}
        maxLength={60}
        onChange={({ target }) => onChange({ ...state, name: target.value })}
      />
      {state.date === null ? (
        <Button
          small
          className="justify-self-start"
          onClick={() => onChange({ ...state, date: dayOf(material?.takenOn ?? null) ?? today })}
        >
          Say when
        </Button>
      ) : (
        <div className="grid gap-1">
          <RoughDateField date={state.date} onChange={(date) => onChange({ ...state, date })} />
          <Button
            small
            look="bare"
            className="justify-self-start"
            onClick={() => onChange({ ...state, date: null })}
          >
            Without a date
          </Button>
        </div>
      )}
      <p className="flex flex-wrap items-center gap-2">
        <PickMaterials
          title={`What is shown of it, ${at + 1}`}
          most={1}
          onPick={([id]) => {
            if (!id) return;
            const picked = site.materials.find((one) => one.id === id);
            onChange({ ...state, material: id, date: state.date ?? dayOf(picked?.takenOn ?? null) });
          }}
        >
          <Button small>{material ? 'Choose another' : 'A picture, sound or clip'}</Button>
        </PickMaterials>
        {material && (
          <>
            <span className="note min-w-0 truncate">{materialName(material)}</span>
            <Button small look="bare" onClick={() => onChange({ ...state, material: null })}>
              Take out
            </Button>
          </>
        )}
      </p>
      <AltTexts of={[state.material]} />
      <label className="block">
        <span className="field-name">
          Words as they were <em>changes are marked</em>
        </span>
        <textarea
          className="input min-h-28"
          maxLength={4000}
          value={state.words}
          onChange={({ target }) => onChange({ ...state, words: target.value })}
        />
      </label>
      {onRemove && (
        <Button small look="danger" className="justify-self-start" onClick={onRemove}>
          Take this one out
        </Button>
      )}
    </fieldset>
  );
}

/** Below a selected early and late: the thing at each of its dates. */
export function EarlyLatePanel({ part, onChange }: PartPanelProps<'early-late'>) {
  const { states } = part;
  const set = (next: EarlyLateState[]) => onChange({ ...part, states: next });
  return (
    <div className="grid gap-3">
      <p className="note">
        The same thing at two dates or more. Where all dates are known they stand in time; two pictures get a
        slider.
      </p>
      <div className="grid gap-x-5 gap-y-3 sm:grid-cols-2">
        {states.map((state, at) => (
          <StateFields
            key={state.id}
            {...{ state, at }}
            onChange={(next) => set(states.map((one) => (one.id === state.id ? next : one)))}
            onRemove={states.length > 2 ? () => set(states.filter(({ id }) => id !== state.id)) : null}
          />
        ))}
      </div>
      <Button
        small
        className="justify-self-start"
        disabled={states.length >= mostStates}
        onClick={() => set([...states, newState(newId())])}
      >
        <Plus size={15} aria-hidden="true" />
        Another date
      </Button>
    </div>
  );
}
