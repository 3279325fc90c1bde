import { type RefObject, useState } from 'react';
import { mostAskedOfOne } from '#contract/groups.ts';
import { Button } from '../ui/button.tsx';
import { TextField } from '../ui/text-field.tsx';

interface AskFormProps {
  ref: RefObject<HTMLFormElement | null>;
  name: string;
  busy: boolean;
  problem: string | null;
  onLeave: () => void;
  onAsk: (words: string) => void;
}

/** Asking one who joined for something: a word to them, and no more. */
export function AskForm({ ref, name, busy, problem, onLeave, onAsk }: AskFormProps) {
  const [words, setWords] = useState('');
  const [tried, setTried] = useState(false);
  const isEmpty = words.trim() === '';
  return (
    <form
      ref={ref}
      className="grid gap-3 bg-raised p-4 shadow-1"
      aria-label={`Ask ${name} for something`}
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (!isEmpty && !busy) onAsk(words.trim());
      }}
    >
      <TextField
        label={`What you ask ${name} for`}
        hint="stands with their hand-in"
        value={words}
        most={mostAskedOfOne}
        onChange={setWords}
      />
      {(problem ?? (tried && isEmpty)) && (
        <p className="field-problem" role="alert">
          {problem ?? 'Say what you ask for.'}
        </p>
      )}
      <p className="flex gap-2">
        <Button type="submit" small look="ink" disabled={busy}>
          Ask
        </Button>
        <Button small look="bare" onClick={onLeave}>
          Leave it
        </Button>
      </p>
    </form>
  );
}
