import { useDraggable } from '@dnd-kit/core';
import { Link } from 'react-router';
import type { Material } from '#core/content/material.ts';
import { materialName, MaterialPicture } from '../../ui/material-picture.tsx';

function TrayItem({
  material,
  number,
  onPlace,
}: {
  material: Material;
  number: number;
  onPlace: () => void;
}) {
  const { attributes, listeners, setNodeRef, isDragging } = useDraggable({ id: `tray ${material.id}` });
  // By keyboard a press places the picture; only the pointer drags it.
  const { onKeyDown: _byKeyboard, ...byPointer } = listeners ?? {};
  const { role: _role, 'aria-roledescription': _described, 'aria-describedby': _how, ...rest } = attributes;
  return (
    <li ref={setNodeRef} className={isDragging ? 'opacity-40' : ''}>
      <button
        type="button"
        className="tray-item"
        aria-label={`Place ${materialName(material)} ${number}`}
        {...rest}
        {...byPointer}
        onClick={onPlace}
      >
        <MaterialPicture material={material} alt="" className="h-full w-full object-cover" />{' '}
        <span className="font-mono">{number}</span>
      </button>
    </li>
  );
}

/** Materials not used yet, ready to be placed on the page. */
export function Tray({
  loose,
  total,
  where,
  onPlace,
}: {
  loose: readonly Material[];
  total: number;
  /** Where a press places a picture, in words. */
  where: string;
  onPlace: (id: string) => void;
}) {
  return (
    <section className="tray" aria-labelledby="tray-title">
      <div className="flex min-h-8 items-center gap-3">
        <h2 id="tray-title" className="text-sm font-[650]">
          Not used yet <span className="ml-1">{loose.length}</span>
        </h2>
        <p className="note max-md:hidden">
          {loose.length > 0
            ? `Drag onto the page, or press Enter to place ${where}`
            : 'Everything gathered is on a page.'}
        </p>
        <Link to="../gather" className="link ml-auto text-[0.8125rem]">
          All {total} in Gather
        </Link>
      </div>
      <ul tabIndex={loose.length > 0 ? undefined : -1}>
        {loose.map((material, at) => (
          <TrayItem
            key={material.id}
            material={material}
            number={at + 1}
            onPlace={() => onPlace(material.id)}
          />
        ))}
      </ul>
    </section>
  );
}
