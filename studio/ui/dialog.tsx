import { X } from 'lucide-react';
import { Dialog as Radix } from 'radix-ui';
import { IconButton } from './icon-button.tsx';
import type { ReactNode } from 'react';
import { useFocusBack } from './use-focus-back.ts';

interface FrameProps {
  open?: boolean;
  onClose: () => void;
  /** The button that opens it, and what a press on it does; without one it is opened by whoever draws it. */
  opener?: ReactNode;
  onOpen?: () => void;
  /** Takes most of the window's width. */
  wide?: boolean;
  className?: string;
  /** Whoever opened it puts the focus where it belongs afterwards. */
  leavesFocus?: boolean;
  /** A description is inside. */
  described?: boolean;
  children: ReactNode;
}

/**
 * What darkens the room behind a dialog. Radix's own also locks the scrolling of the page, which sets a custom property on
 * `body` and so styles every element on it anew; the studio's page does not scroll, its rooms do, and those get no wheel
 * while a dialog is open.
 */
export const Shade = () => <div className="pointer-events-auto fixed inset-0 z-30 bg-[#1e243080]" />;

/** A field says what was typed when it is left; a dialog that closes leaves it, too. */
function settleField(): void {
  if (document.activeElement instanceof HTMLInputElement) document.activeElement.blur();
}

/** Something that is done over the room, which waits meanwhile. Escape and a press beside it leave it. */
export function DialogFrame({
  open = true,
  onClose,
  opener,
  onOpen,
  wide = false,
  className = '',
  leavesFocus = false,
  described = false,
  children,
}: FrameProps) {
  const focusBack = useFocusBack();
  return (
    <Radix.Root open={open} onOpenChange={(wanted) => (wanted ? onOpen?.() : onClose())}>
      {opener !== undefined && <Radix.Trigger asChild>{opener}</Radix.Trigger>}
      <Radix.Portal>
        <Shade />
        <Radix.Content
          className={`dialog ${wide ? 'w-[min(94vw,860px)] ' : ''}${className}`.trim()}
          {...(!described && { 'aria-describedby': undefined })}
          onEscapeKeyDown={settleField}
          onPointerDownOutside={settleField}
          {...(leavesFocus ? { onCloseAutoFocus: (event: Event) => event.preventDefault() } : focusBack)}
        >
          {children}
        </Radix.Content>
      </Radix.Portal>
    </Radix.Root>
  );
}

interface HeadProps {
  title: ReactNode;
  /** What stands between the title and the cross. */
  tools?: ReactNode;
  /** It cannot be left now. */
  busy?: boolean;
  /** How far it stands from what is around it. */
  className?: string;
}

/** A dialog's name, and the cross that closes it. */
export const DialogHead = ({ title, tools, busy = false, className = 'mb-3 gap-3' }: HeadProps) => (
  <header className={`flex items-center ${className}`}>
    <Radix.Title className="min-w-0 flex-1">{title}</Radix.Title>
    {tools}
    <Radix.Close asChild>
      <IconButton label="Close" disabled={busy}>
        <X size={18} aria-hidden="true" />
      </IconButton>
    </Radix.Close>
  </header>
);

/** A name that is read out and not shown, for a dialog that says what it is by what stands in it. */
export const UnseenTitle = ({ children }: { children: string }) => (
  <Radix.Title className="sr-only">{children}</Radix.Title>
);

type DialogProps = Omit<FrameProps, 'described'> &
  Omit<HeadProps, 'className'> & {
    /** What is to be known first; read out with the title. */
    description?: ReactNode;
  };

/** A dialog with its name, the cross, and what it is about. */
export const Dialog = ({ title, tools, busy = false, description, children, ...frame }: DialogProps) => (
  <DialogFrame {...frame} described={description !== undefined}>
    <DialogHead title={title} tools={tools} busy={busy} />
    {description !== undefined && <Radix.Description className="note mb-3">{description}</Radix.Description>}
    {children}
  </DialogFrame>
);
