import { useDraggable } from '@dnd-kit/core';
import type { Material } from '#core/materials/material.ts';
import { materialName, MaterialPicture } from '../../ui/material-picture.tsx';

export interface TrayListProps {
  folded: boolean;
  loose: readonly Material[];
  picked: readonly string[];
  /** What the pointer holds. */
  dragged: string | null;
  onPick: (id: string) => void;
  onPlace: (id: string) => void;
}

export const itemLook = 'tray-item relative block h-19 w-26 touch-manipulation bg-raised p-[3px]';
export const numberLook =
  'absolute bottom-[3px] left-[3px] bg-raised px-[5px] font-mono text-[12px] leading-[17px] text-ink-2';
/** A picture; or a small sheet, of which the name has what the number in its corner leaves. */
export const inItem =
  'h-full w-full object-cover data-kind:px-2 data-kind:pt-1.5 data-kind:pb-5 data-kind:leading-3.5';
export const listLook = (folded: boolean) =>
  `flex gap-2 overflow-x-auto p-[3px] ${folded ? 'min-[1021px]:hidden' : ''}`;

interface TrayItemProps {
  material: Material;
  number: number;
  count: number;
  /** Picked to be placed together with others. */
  picked: boolean;
  /** From the start of the tray, in px; null where they follow on each other. */
  leftPx: number | null;
  onPick: () => void;
  onPlace: () => void;
  onFocus?: () => void;
}

/** Something that lies in the tray: a press places it, the pointer carries it. */
export function TrayItem({
  material,
  number,
  count,
  picked,
  leftPx,
  onPick,
  onPlace,
  onFocus,
}: TrayItemProps) {
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({ id: `tray ${material.id}` });
  // By keyboard a press places the picture; only the pointer drags it.
  const { onKeyDown: _byKeyboard, ...byPointer } = listeners ?? {};
  const { role: _role, 'aria-roledescription': _described, 'aria-describedby': _how, ...rest } = attributes;
  return (
    <li
      ref={setNodeRef}
      className={`flex-none ${leftPx === null ? '' : 'top-[3px]'} ${isDragging ? 'opacity-40' : ''}`}
      {...(leftPx !== null && {
        style: { position: 'absolute', left: leftPx },
        'aria-setsize': count,
        'aria-posinset': number,
      })}
    >
      <button
        type="button"
        className={`${itemLook} cursor-grab shadow-1 aria-pressed:shadow-[0_0_0_2px_var(--paper),0_0_0_4px_var(--vermilion)]`}
        aria-label={`Place ${materialName(material)} ${number}`}
        {...rest}
        {...byPointer}
        aria-pressed={picked}
        onFocus={onFocus}
        onKeyDown={(event) => {
          if (event.key !== ' ') return;
          event.preventDefault();
          onPick();
        }}
        onClick={(event) => (event.ctrlKey || event.metaKey || event.shiftKey ? onPick() : onPlace())}
      >
        <MaterialPicture material={material} alt="" className={inItem} shows="name" />{' '}
        <span className={numberLook}>{number}</span>
      </button>
    </li>
  );
}
