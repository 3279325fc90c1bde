import type { LucideIcon } from 'lucide-react';

export interface Segment<T extends string> {
  value: T;
  name: string;
  icon?: LucideIcon;
  disabled?: boolean;
}

/** A few things in a well side by side, of which one is raised; the tabs look the same. */
export const segmentsLook = {
  row: 'inline-flex flex-wrap gap-0.5 rounded-m bg-sunk p-[3px]',
  one: 'inline-flex min-h-7.5 min-w-8 items-center justify-center gap-1.5 rounded-[4px] px-2.5 text-s font-firm whitespace-nowrap text-ink-2 aria-pressed:bg-raised aria-pressed:text-ink aria-pressed:shadow-1 aria-selected:bg-raised aria-selected:text-ink aria-selected:shadow-1 disabled:text-[#8b8373]',
};

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
  <div className={`${segmentsLook.row} ${className}`.trim()} role="group" aria-label={label}>
    {options.map(({ value: one, name, icon: Icon, disabled = false }) => (
      <button
        key={one}
        type="button"
        className={segmentsLook.one}
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
