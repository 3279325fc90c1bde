import { useId } from 'react';

interface RangeFieldProps {
  name: string;
  value: number;
  min: number;
  max: number;
  step: number;
  /** The value in words, for everybody. */
  said: string;
  onChange: (value: number) => void;
}

/** A value between two ends. */
export function RangeField({ name, value, min, max, step, said, onChange }: RangeFieldProps) {
  const id = useId();
  return (
    <div>
      <label className="field-name" htmlFor={id}>
        {name} <em>{said}</em>
      </label>
      <input
        id={id}
        type="range"
        className="look-range"
        {...{ min, max, step, value }}
        aria-valuetext={said}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </div>
  );
}
