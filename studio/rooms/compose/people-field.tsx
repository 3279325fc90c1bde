import { Plus, X } from 'lucide-react';
import { useRef } from 'react';
import { flushSync } from 'react-dom';
import type { Companion } from '#core/pages/case-facts.ts';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';

interface PeopleFieldProps {
  people: readonly Companion[];
  onChange: (people: Companion[]) => void;
}

/** Who took part, and what each of them did. */
export function PeopleField({ people, onChange }: PeopleFieldProps) {
  const list = useRef<HTMLUListElement>(null);
  const set = (at: number, change: Partial<Companion>) =>
    onChange(people.map((one, n) => (n === at ? { ...one, ...change } : one)));
  return (
    <fieldset className="grid gap-2">
      <legend className="field-name">
        With whom <em>first names do</em>
      </legend>
      <ul ref={list} className="grid gap-2 empty:hidden">
        {people.map(({ name, did }, at) => (
          <li key={at} className="grid grid-cols-[1fr_auto] gap-x-1 gap-y-1">
            <input
              className="input"
              aria-label={`Name of person ${at + 1}`}
              placeholder="Name"
              value={name}
              maxLength={80}
              onChange={(event) => set(at, { name: event.target.value })}
            />
            <IconButton
              small
              label={`Take off ${name || `person ${at + 1}`}`}
              onClick={() => onChange(people.filter((_, n) => n !== at))}
            >
              <X size={15} aria-hidden="true" />
            </IconButton>
            <input
              className="input"
              aria-label={`What ${name || `person ${at + 1}`} did`}
              placeholder="what they did"
              value={did}
              maxLength={160}
              onChange={(event) => set(at, { did: event.target.value })}
            />
          </li>
        ))}
      </ul>
      {people.length < 20 && (
        <Button
          small
          className="w-fit"
          onClick={() => {
            // Drawn at once: the next key belongs into the new field.
            flushSync(() => onChange([...people, { name: '', did: '' }]));
            list.current?.querySelector<HTMLElement>('li:last-child input')?.focus();
          }}
        >
          <Plus size={15} aria-hidden="true" />
          Add somebody
        </Button>
      )}
    </fieldset>
  );
}
