import { useId, useState } from 'react';
import type { Hex } from '#core/look/colour.ts';
import { hexSchema } from '#core/look/look.ts';

interface SeedFieldProps {
  name: string;
  /** Null: as the theme has it. */
  value: Hex | null;
  /** As the theme has it. */
  usual: Hex;
  onChange: (colour: Hex | null) => void;
}

/** A colour: picked, or written as six digits. */
export function SeedField({ name, value, usual, onChange }: SeedFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const read = hexSchema.safeParse((typed ?? value ?? usual).trim());
  const wrong = typed !== null && !read.success;
  return (
    <div role="group" aria-label={name}>
      <p className="field-name">
        <label htmlFor={id}>{name}</label>
        {value !== null && (
          <button type="button" className="link" onClick={() => onChange(null)}>
            As the theme has it
          </button>
        )}
      </p>
      <div className="flex gap-1.5">
        <input
          type="color"
          className="look-colour"
          aria-label={`${name}, picked`}
          value={value ?? usual}
          onChange={(event) => onChange(event.target.value)}
        />
        <input
          id={id}
          className="input font-mono"
          spellCheck={false}
          autoComplete="off"
          value={typed ?? value ?? usual}
          aria-invalid={wrong ? true : undefined}
          aria-describedby={wrong ? `${id}-problem` : undefined}
          onChange={(event) => {
            setTyped(event.target.value);
            const now = hexSchema.safeParse(event.target.value.trim());
            if (now.success) onChange(now.data);
          }}
          onBlur={() => setTyped(null)}
        />
      </div>
      {wrong && (
        <p id={`${id}-problem`} className="field-problem" role="alert">
          {read.error.issues[0]?.message}
        </p>
      )}
    </div>
  );
}
