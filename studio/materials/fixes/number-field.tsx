import { useId, useState } from 'react';

interface NumberFieldProps {
  label: string;
  unit: string;
  value: number;
  least: number;
  most: number;
  step: number;
  onChange: (value: number) => void;
}

/** A number with its unit. What is typed counts when it is complete; a wrong one goes back to what it was. */
export function NumberField({ label, unit, value, least, most, step, onChange }: NumberFieldProps) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const take = (text: string) => {
    const number = Number(text.replace(',', '.'));
    if (text.trim() !== '' && Number.isFinite(number)) onChange(Math.min(most, Math.max(least, number)));
  };
  return (
    <div>
      <label className="flex justify-between text-xs text-ink-2" htmlFor={id}>
        {label} <span>{unit}</span>
      </label>
      <input
        id={id}
        className="input"
        type="number"
        inputMode="decimal"
        min={least}
        max={most}
        step={step}
        value={typed ?? value}
        onChange={(event) => {
          setTyped(event.target.value);
          take(event.target.value);
        }}
        onBlur={() => setTyped(null)}
      />
    </div>
  );
}
