import { type InputHTMLAttributes, type Ref, useId } from 'react';

interface FieldProps extends InputHTMLAttributes<HTMLInputElement> {
  label: string;
  hint?: string;
  problem?: string | undefined;
  ref?: Ref<HTMLInputElement>;
}

/** A labelled line of text, with what is wrong with it right below. */
export function Field({ label, hint, problem, ...input }: FieldProps) {
  const id = useId();
  return (
    <div className="block">
      <label className="field-name" htmlFor={id}>
        {label} {hint && <em>{hint}</em>}
      </label>
      <input
        id={id}
        className="input"
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        {...input}
      />
      {problem && (
        <p id={`${id}-problem`} className="field-problem" role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}
