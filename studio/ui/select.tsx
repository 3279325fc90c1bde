import { type ReactNode, useId } from 'react';

interface Option<T extends string> {
  value: T;
  name: string;
  disabled?: boolean;
}

interface SelectProps<T extends string> {
  /** What is chosen, for people who hear the page; where a name stands above it, that of `SelectField`. */
  label?: string;
  id?: string;
  value: T;
  options: readonly Option<T>[];
  onChange: (value: T) => void;
  className?: string;
}

/** One of several, in the list that the device itself offers: on a phone that is the best there is. */
export const Select = <T extends string>({
  label,
  id,
  value,
  options,
  onChange,
  className = 'input',
}: SelectProps<T>) => (
  <select
    id={id}
    className={className}
    aria-label={label}
    value={value}
    onChange={({ target }) => {
      const chosen = options.find((one) => one.value === target.value);
      if (chosen) onChange(chosen.value);
    }}
  >
    {options.map((one) => (
      <option key={one.value} value={one.value} disabled={one.disabled}>
        {one.name}
      </option>
    ))}
  </select>
);

/** The same with its name above it. */
export function SelectField<T extends string>({
  name,
  hint,
  ...select
}: Omit<SelectProps<T>, 'label' | 'id'> & { name: string; hint?: ReactNode }) {
  const id = useId();
  return (
    <div className="block">
      <label className="field-name" htmlFor={id}>
        {name} {hint && <em>{hint}</em>}
      </label>
      <Select id={id} {...select} />
    </div>
  );
}
