import { Check, type LucideIcon } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import type { ReactNode } from 'react';

const sheetLook =
  'z-40 max-h-[min(80vh,var(--radix-dropdown-menu-content-available-height))] max-w-[min(92vw,400px)] min-w-[220px] overflow-auto rounded-(--r-m) bg-raised p-[5px] shadow-(--lift-3)';
const lineLook =
  'flex min-h-[40px] w-full cursor-default items-center gap-3 rounded-[4px] px-[10px] py-[6px] text-ink no-underline hover:bg-sky-wash hover:outline-none data-highlighted:bg-sky-wash data-highlighted:outline-none';

interface MenuProps {
  /** The button that opens it. */
  opener: ReactNode;
  align?: 'start' | 'end';
  side?: 'top' | 'right' | 'bottom';
  /** Where the focus goes when it closes; back to the opener, if this gives nothing. */
  focusAfter?: () => HTMLElement | null | undefined;
  children: ReactNode;
}

/** What can be done with something, one line each. */
export const Menu = ({ opener, align = 'start', side = 'bottom', focusAfter, children }: MenuProps) => (
  <DropdownMenu.Root>
    <DropdownMenu.Trigger asChild>{opener}</DropdownMenu.Trigger>
    <DropdownMenu.Portal>
      <DropdownMenu.Content
        className={sheetLook}
        {...{ side, align }}
        sideOffset={6}
        onCloseAutoFocus={(event) => {
          const next = focusAfter?.();
          if (!next) return;
          event.preventDefault();
          next.focus();
        }}
      >
        {children}
      </DropdownMenu.Content>
    </DropdownMenu.Portal>
  </DropdownMenu.Root>
);

interface LineProps {
  icon: LucideIcon;
  name: string;
  /** What it does, where the name alone does not say. */
  note?: string;
}

const Line = ({ icon: Icon, name, note }: LineProps) => (
  <>
    <Icon size={18} aria-hidden="true" />
    {note === undefined ? (
      <span className="min-w-0 truncate">{name}</span>
    ) : (
      <span>
        <b className="block leading-[18px]">{name}</b>
        <small className="block text-(length:--t-xs) leading-[16px] text-ink-3">{note}</small>
      </span>
    )}
  </>
);

/** A line that does something. */
export const MenuItem = ({
  onSelect,
  disabled = false,
  ...line
}: LineProps & { onSelect: () => void; disabled?: boolean }) => (
  <DropdownMenu.Item className={lineLook} disabled={disabled} onSelect={onSelect}>
    <Line {...line} />
  </DropdownMenu.Item>
);

/** A line that opens an address in a window of its own. */
export const MenuLink = ({ href, ...line }: LineProps & { href: string }) => (
  <DropdownMenu.Item asChild>
    <a className={lineLook} href={href} target="_blank" rel="noreferrer">
      <Line {...line} />
    </a>
  </DropdownMenu.Item>
);

/** Words over the lines that follow. */
export const MenuLabel = ({ children }: { children: ReactNode }) => (
  <DropdownMenu.Label className="px-[10px] pt-2 pb-[2px] text-(length:--t-xs) text-ink-3">
    {children}
  </DropdownMenu.Label>
);

/** A line drawn between two kinds of things to do. */
export const MenuRule = () => <DropdownMenu.Separator className="my-1 border-t border-line" />;

/** Lines of which one is chosen. */
export const MenuChoices = ({
  label,
  value,
  onChange,
  children,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  children: ReactNode;
}) => (
  <DropdownMenu.RadioGroup value={value} onValueChange={onChange} aria-label={label}>
    {children}
  </DropdownMenu.RadioGroup>
);

/** One of them. */
export const MenuChoice = ({
  value,
  sign,
  name,
  note,
}: {
  value: string;
  /** Drawn before its name. */
  sign: ReactNode;
  name: string;
  note: string;
}) => (
  <DropdownMenu.RadioItem value={value} className={lineLook}>
    {sign}
    <span className="flex-1">
      <b className="block leading-[18px]">{name}</b>
      <small className="block text-(length:--t-xs) leading-[16px] text-ink-3">{note}</small>
    </span>
    <DropdownMenu.ItemIndicator>
      <Check size={18} aria-hidden="true" />
    </DropdownMenu.ItemIndicator>
  </DropdownMenu.RadioItem>
);
