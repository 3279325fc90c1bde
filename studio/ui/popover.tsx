import { Popover as Radix } from 'radix-ui';
import type { ComponentProps, ReactNode } from 'react';

interface PopoverProps {
  /** The button that opens it. */
  opener: ReactNode;
  /** What it is about, for people who hear the page. */
  label: string;
  /** Where somebody else says whether it is open. */
  open?: boolean;
  onOpenChange?: (open: boolean) => void;
  /** Where the focus goes when it closes; back to the opener, if nothing is said. */
  onCloseAutoFocus?: ComponentProps<typeof Radix.Content>['onCloseAutoFocus'];
  children: ReactNode;
}

/** Something said or asked beside the button that opens it, while the rest can still be used. */
export const Popover = ({ opener, label, open, onOpenChange, onCloseAutoFocus, children }: PopoverProps) => (
  <Radix.Root
    {...(open === undefined ? {} : { open })}
    {...(onOpenChange === undefined ? {} : { onOpenChange })}
  >
    <Radix.Trigger asChild>{opener}</Radix.Trigger>
    <Radix.Portal>
      <Radix.Content
        className="z-40 max-h-[80vh] max-w-[min(92vw,400px)] min-w-[220px] overflow-auto rounded-(--r-m) bg-raised px-4 py-[14px] shadow-(--lift-3)"
        sideOffset={6}
        aria-label={label}
        {...(onCloseAutoFocus ? { onCloseAutoFocus } : {})}
      >
        {children}
      </Radix.Content>
    </Radix.Portal>
  </Radix.Root>
);
