import type { ButtonHTMLAttributes, Ref } from 'react';

interface IconButtonProps extends Omit<ButtonHTMLAttributes<HTMLButtonElement>, 'aria-label'> {
  /** What it does: heard, and seen under a pointer that rests on it. */
  label: string;
  small?: boolean;
  ref?: Ref<HTMLButtonElement>;
}

/**
 * A sign to press. Its name is shown by the browser's own tooltip: one that is drawn takes Escape for itself, and a dialog
 * below it would need the key twice.
 */
export function IconButton({ label, small = false, className = '', ...rest }: IconButtonProps) {
  const size = small ? 'h-[28px] w-[28px]' : 'h-[36px] w-[36px]';
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      className={`inline-grid flex-none place-items-center rounded-(--r-m) text-ink-2 hover:not-disabled:bg-sunk disabled:text-[#a79d8b] ${size} ${className}`.trim()}
      {...rest}
    />
  );
}
