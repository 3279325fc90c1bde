import { Field } from './field.tsx';

interface TimeFieldProps {
  label: string;
  hint?: string;
  /** By clocks in whichever zone is meant: `2026-12-04T20:00`; null where nothing is written. */
  value: string | null;
  problem?: string | undefined;
  onChange: (local: string | null) => void;
}

/** A day and a time. */
export const TimeField = ({ value, onChange, ...said }: TimeFieldProps) => (
  <Field
    type="datetime-local"
    {...said}
    value={value ?? ''}
    onChange={({ target }) => onChange(target.value === '' ? null : target.value.slice(0, 16))}
  />
);
