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
      <div className="starter-choice">
        <fieldset>
          <legend className="sr-only">What is the project?</legend>
          {starterKeys.map((key) => (
            <label key={key} className="starter">
              <input type="radio" name="starter" checked={chosen === key} onChange={() => setChosen(key)} />
              <b>{starters[key].name}</b>
              <small>{starters[key].about}</small>
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
