import { useDraggable } from '@dnd-kit/core';
import type { Material } from '#core/materials/material.ts';
import { materialName, MaterialPicture } from '../../ui/material-picture.tsx';

export interface TrayListProps {
  loose: readonly Material[];
  picked: readonly string[];
  /** What the pointer holds. */
  dragged: string | null;
  onPick: (id: string) => void;
  onPlace: (id: string) => void;
}

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
      className={isDragging ? 'opacity-40' : ''}
      {...(leftPx !== null && {
        style: { position: 'absolute', left: leftPx },
        'aria-setsize': count,
        'aria-posinset': number,
      })}
    >
      <button
        type="button"
        className="tray-item"
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
        <MaterialPicture material={material} alt="" className="h-full w-full object-cover" />{' '}
        <span className="font-mono">{number}</span>
      </button>
    </li>
  );
}
