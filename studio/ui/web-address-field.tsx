import { useState } from 'react';
import { webAddressSchema } from '#contract/web-address.ts';
import { Field } from './field.tsx';

interface WebAddressFieldProps {
  label: string;
  hint: string;
  value: string;
  onChange: (address: string) => void;
}

/** A web address, or none; what cannot be one stays in the field and says so. */
export function WebAddressField({ label, hint, value, onChange }: WebAddressFieldProps) {
  const [typed, setTyped] = useState(value);
  const [problem, setProblem] = useState<string>();
  const settle = () => {
    const read = typed.trim() === '' ? null : webAddressSchema.safeParse(typed);
    if (read && !read.success) return setProblem(read.error.issues[0]?.message ?? 'This is no web address.');
    setProblem(undefined);
    const address = read?.data ?? '';
    setTyped(address);
    if (address !== value) onChange(address);
  };
  return (
    <Field
      label={label}
      hint={hint}
      value={typed}
      problem={problem}
      inputMode="url"
      onChange={(event) => setTyped(event.target.value)}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key === 'Enter') settle();
      }}
    />
  );
}
