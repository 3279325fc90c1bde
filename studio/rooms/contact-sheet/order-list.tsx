import { arrayMove, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { Material } from '#core/materials/material.ts';
import { materialName } from '../../ui/material-picture.tsx';
import { Sortable } from '../../ui/sortable.tsx';
import { IconButton } from '../../ui/icon-button.tsx';

function Line({ material, at }: { material: Material; at: number }) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: material.id });
  const name = materialName(material);
  return (
    <li
      ref={setNodeRef}
      className="flex min-h-7.5 items-center gap-2 border-b border-b-line bg-sunk text-s"
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      <IconButton small label={`Move ${name}`} {...attributes} {...listeners}>
        <GripVertical size={15} aria-hidden="true" />
      </IconButton>
      <b>{at + 1}</b>
      <span className="flex-1 truncate">{name}</span>
      {material.alt.trim() === '' && (
        <span className="text-xs whitespace-nowrap text-clay">needs alt text</span>
      )}
    </li>
  );
}

/** The chosen pictures in their order: by dragging, by keyboard, or by when they were taken. */
export function OrderList({
  pictures,
  onOrder,
}: {
  pictures: readonly Material[];
  onOrder: (ids: string[]) => void;
}) {
  const ids = pictures.map(({ id }) => id);
  const dated = pictures.filter(({ takenOn }) => takenOn !== null).length;
  return (
    <section className="narrow:col-span-full">
      <h2 className="flex items-center gap-[7px] mb-2 font-text font-strong text-s leading-5">
        In this order
      </h2>
      <Sortable
        ids={ids}
        nameOf={(at) => (pictures[at] ? materialName(pictures[at]) : '')}
        onMove={(from, to) => onOrder(arrayMove(ids, from, to))}
      >
        <ol>
          {pictures.map((material, at) => (
            <Line key={material.id} material={material} at={at} />
          ))}
        </ol>
      </Sortable>
      {dated > 1 && (
        <button
          type="button"
          className="link mt-2 text-[0.8125rem]"
          onClick={() =>
            onOrder(
              [...pictures]
                .sort((a, b) => (a.takenOn ?? '9999').localeCompare(b.takenOn ?? '9999'))
                .map(({ id }) => id),
            )
          }
        >
          Order as they were taken
        </button>
      )}
    </section>
  );
}
