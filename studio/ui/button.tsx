import { Slot } from 'radix-ui';
import type { ButtonHTMLAttributes, Ref } from 'react';

const looks = {
  plain: 'border-edge bg-raised text-ink font-[550] hover:not-disabled:bg-sunk',
  /** The one thing to do next on a screen. */
  go: 'border-vermilion bg-vermilion text-raised font-[650] hover:not-disabled:bg-vermilion-deep disabled:border-line disabled:bg-sunk disabled:text-ink-3',
  /** The next step inside a dialog or panel. */
  ink: 'border-ink bg-ink text-raised font-[550] hover:not-disabled:bg-dusk-2',
  /** Beside another one that matters more. */
  bare: 'border-transparent bg-transparent text-ink font-[550] hover:not-disabled:bg-sunk',
  /** Takes something away. */
  danger: 'border-edge bg-raised text-clay font-[550] hover:not-disabled:bg-sunk',
};

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  look?: keyof typeof looks;
  small?: boolean;
  /** Its one child, a link or a label, looks like a button and stays what it is. */
  asChild?: boolean;
  ref?: Ref<HTMLButtonElement>;
}

/** Something to press. */
export function Button({
  look = 'plain',
  small = false,
  asChild = false,
  className = '',
  ...rest
}: ButtonProps) {
  const size = small ? 'min-h-[30px] px-[10px] text-(length:--t-s)' : 'min-h-[36px] px-[13px]';
  const classes = `inline-flex items-center justify-center gap-[7px] rounded-(--r-m) border whitespace-nowrap no-underline transition-colors duration-[120ms] ${size} ${looks[look]} ${className}`;
  return asChild ? (
    <Slot.Root className={classes.trim()} {...rest} />
  ) : (
    <button type="button" className={classes.trim()} {...rest} />
  );
}
