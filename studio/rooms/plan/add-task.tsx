import { type RefObject, useId, useRef, useState } from 'react';
import type { Id } from '#core/id.ts';
import { Button } from '../../ui/button.tsx';

/** A few words and a day, if it has one: enough for a task. */
export function AddTask({ onAdd }: { onAdd: (what: string, day: string | null) => void }) {
  const [what, setWhat] = useState('');
  const [day, setDay] = useState('');
  const field: RefObject<HTMLInputElement | null> = useRef(null);
  const [whatId, dayId]: Id[] = [useId(), useId()];
  return (
    <form
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        if (what.trim() === '') return field.current?.focus();
        onAdd(what.trim(), day === '' ? null : day);
        setWhat('');
        field.current?.focus();
      }}
    >
      <div className="min-w-52 flex-1">
        <label className="field-name" htmlFor={whatId}>
          What to do
        </label>
        <input
          id={whatId}
          ref={field}
          className="input"
          value={what}
          maxLength={200}
          onChange={({ target }) => setWhat(target.value)}
        />
      </div>
      <div>
        <label className="field-name" htmlFor={dayId}>
          By when <em>if there is a day</em>
        </label>
        <input
          id={dayId}
          type="date"
          className="input w-auto"
          value={day}
          onChange={({ target }) => setDay(target.value)}
        />
      </div>
      <Button type="submit" look="go">
        Add it
      </Button>
    </form>
  );
}
