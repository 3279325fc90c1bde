import { useState } from 'react';
import { type StarterKey, starterKeys } from '#core/parts/starter-names.ts';
import { starters } from '#core/parts/starters.ts';
import { StarterTail } from './starter-tail.tsx';
import { Button } from '../../ui/button.tsx';

/** The outlines there are, and the tail that the chosen one makes. */
export function StarterChoice({ onStart }: { onStart: (starter: StarterKey) => void }) {
  const [chosen, setChosen] = useState<StarterKey>('object');
  const starter = starters[chosen];
  return (
    <>
      <div className="grid grid-cols-[minmax(0,17rem)_minmax(0,1fr)] gap-5 phone:grid-cols-[minmax(0,1fr)]">
        <fieldset className="grid content-start gap-1">
          <legend className="sr-only">What is the project?</legend>
          {starterKeys.map((key) => (
            <label
              key={key}
              className="grid grid-cols-[auto_1fr] items-baseline gap-x-2.5 rounded-m px-2.5 py-2 has-checked:bg-raised has-checked:shadow-1"
            >
              <input type="radio" name="starter" checked={chosen === key} onChange={() => setChosen(key)} />
              <b>{starters[key].name}</b>
              <small className="col-start-2 text-s leading-[1.35] text-ink-2">{starters[key].about}</small>
            </label>
          ))}
        </fieldset>
        <StarterTail starter={starter} />
      </div>
      <p className="mt-4">
        <Button look="go" onClick={() => onStart(chosen)}>
          Start with this outline
        </Button>
      </p>
    </>
  );
}
