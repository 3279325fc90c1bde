import { Popover as Radix } from 'radix-ui';
import type { ComponentProps, ReactNode, RefObject } from 'react';

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

const look =
  'z-40 max-h-[80vh] max-w-[min(92vw,400px)] min-w-[220px] overflow-auto rounded-m bg-raised px-4 py-[14px] shadow-3';

/** Something said or asked beside the button that opens it, while the rest can still be used. */
export const Popover = ({ opener, label, open, onOpenChange, onCloseAutoFocus, children }: PopoverProps) => (
  <Radix.Root
    {...(open === undefined ? {} : { open })}
    {...(onOpenChange === undefined ? {} : { onOpenChange })}
  >
    <Radix.Trigger asChild>{opener}</Radix.Trigger>
    <Radix.Portal>
      <Radix.Content
        className={look}
        sideOffset={6}
        aria-label={label}
        {...(onCloseAutoFocus ? { onCloseAutoFocus } : {})}
      >
        {children}
      </Radix.Content>
    </Radix.Portal>
  </Radix.Root>
);

interface PopoverAtProps {
  /** The button that opened it, and closes it again. */
  anchor: RefObject<HTMLElement | null>;
  label: string;
  onClose: () => void;
  children: ReactNode;
}

/** The same beside a button that is drawn by somebody else, so that it can be fetched when it is first opened. */
export const PopoverAt = ({ anchor, label, onClose, children }: PopoverAtProps) => (
  <Radix.Root open onOpenChange={(open) => !open && onClose()}>
    <Radix.Anchor virtualRef={anchor as RefObject<HTMLElement>} />
    <Radix.Portal>
      <Radix.Content
        className={look}
        sideOffset={6}
        aria-label={label}
        onCloseAutoFocus={(event) => {
          event.preventDefault();
          // Whoever pressed something else meanwhile is there now.
          if (document.activeElement === document.body) anchor.current?.focus();
        }}
      >
        {children}
      </Radix.Content>
    </Radix.Portal>
  </Radix.Root>
);
