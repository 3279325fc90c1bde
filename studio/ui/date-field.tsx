import { useState } from 'react';
import { partialDateInWords } from '#core/dates/partial-date-in-words.ts';
import { readPartialDate } from '#core/dates/read-partial-date.ts';
import { Field } from './field.tsx';

interface DateFieldProps {
  value: string | null;
  label?: string;
  hint?: string;
  /** Reads what was typed; null when it cannot be read. */
  read?: (text: string) => string | null;
  inWords?: (date: string) => string;
  /** What to do about a date that cannot be read. */
  wrong?: string;
  /** What no date means here. */
  empty?: string;
  onChange: (date: string | null) => void;
}

/** A date as exactly as it is known: a day, a month or a year. What cannot be read stays in the field and says so. */
export function DateField({
  value,
  label = 'Taken on',
  hint = 'a day, a month or a year',
  read = readPartialDate,
  inWords = partialDateInWords,
  wrong = 'Write a day, a month or a year: 13 November 2025, November 2025, or 2025.',
  empty = 'not known',
  onChange,
}: DateFieldProps) {
  const shown = value ? inWords(value) : '';
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const settle = () => {
    if (typed === null) return;
    const date = read(typed);
    if (typed.trim() !== '' && date === null) {
      setProblem(wrong);
      return;
    }
    setProblem(undefined);
    setTyped(null);
    if (typed !== shown) onChange(date);
  };
  return (
    <Field
      label={label}
      hint={hint}
      placeholder={empty}
      value={typed ?? shown}
      problem={problem}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key === 'Enter') settle();
      }}
    />
  );
}
