import type { HTMLAttributes } from 'react';

interface SideSheetProps extends HTMLAttributes<HTMLElement> {
  as?: 'aside' | 'section';
  /** Below which width it is a sheet; see the variants of these names. */
  at: 'narrow' | 'compact';
  /** As a sheet it is open; where there is room for it beside, it is there anyway. */
  open?: boolean;
}

const risen = {
  narrow:
    'narrow:fixed narrow:inset-x-0 narrow:bottom-0 narrow:z-20 narrow:max-h-[78dvh] narrow:overflow-auto narrow:border-t-[3px] narrow:border-t-vermilion narrow:shadow-3',
  // Above what opens it, which stays in reach below.
  compact:
    'compact:fixed compact:inset-x-0 compact:bottom-25 compact:z-20 compact:flex compact:max-h-[62dvh] compact:flex-col compact:overflow-auto compact:border-t-[3px] compact:border-t-vermilion compact:bg-paper compact:shadow-3',
};
const away = { narrow: 'narrow:hidden', compact: 'compact:hidden' };

/** Stands beside the rest of the room; where the room is too narrow for that, a sheet that rises from the bottom over it. */
export const SideSheet = ({ as: As = 'aside', at, open = true, className = '', ...rest }: SideSheetProps) => (
  <As className={`${className} ${open ? risen[at] : away[at]}`} {...rest} />
);
