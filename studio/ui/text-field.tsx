import { useId } from 'react';

interface TextFieldProps {
  label: string;
  hint?: string;
  value: string;
  most: number;
  rows?: number;
  onChange: (value: string) => void;
}

/**
 * Several lines of plain text in a panel, with the room that is left told only when little is. The box grows with what is
 * written, so nobody reads a caption through a slit; where a browser cannot do that it scrolls.
 */
export function TextField({ label, hint, value, most, rows = 3, onChange }: TextFieldProps) {
  const id = useId();
  const left = most - value.length;
  return (
    <div className="block">
      <label className="field-name" htmlFor={id}>
        {label} {hint && <em>{hint}</em>}
      </label>
      <textarea
        id={id}
        className="input max-h-96 [field-sizing:content]"
        style={{ minHeight: `calc(${rows}lh + 16px)` }}
        rows={rows}
        value={value}
        maxLength={most}
        aria-describedby={left < 60 ? `${id}-left` : undefined}
        onChange={(event) => onChange(event.target.value)}
      />
      {left < 60 && (
        <p id={`${id}-left`} className="note mt-1">
          {left === 1 ? '1 character' : `${left} characters`} left
        </p>
      )}
    </div>
  );
}
