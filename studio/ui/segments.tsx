import type { LucideIcon } from 'lucide-react';

export interface Segment<T extends string> {
  value: T;
  name: string;
  icon?: LucideIcon;
  disabled?: boolean;
}

interface SegmentsProps<T extends string> {
  /** What is chosen, for people who hear the page. */
  label: string;
  value: T;
  options: readonly Segment<T>[];
  onChange: (value: T) => void;
  /** Only the signs are drawn; the names are heard. */
  signsOnly?: boolean;
  className?: string;
}

/** A few ways of doing something, side by side, of which one is taken. */
export const Segments = <T extends string>({
  label,
  value,
  options,
  onChange,
  signsOnly = false,
  className = '',
}: SegmentsProps<T>) => (
  <div className={`seg ${className}`.trim()} role="group" aria-label={label}>
    {options.map(({ value: one, name, icon: Icon, disabled = false }) => (
      <button
        key={one}
        type="button"
        aria-pressed={one === value}
        aria-label={signsOnly ? name : undefined}
        disabled={disabled}
        onClick={() => onChange(one)}
      >
        {Icon && <Icon size={signsOnly ? 16 : 15} aria-hidden="true" />}
        {!signsOnly && name}
      </button>
    ))}
  </div>
);
