import { arrayMove, useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ArrowDown, ArrowUp, GripVertical, Plus, X } from 'lucide-react';
import type { Place } from '#core/gallery/coarse-here.ts';
import type { Material } from '#core/materials/material.ts';
import { useSite } from '../api/site-context.tsx';
import { materialName, MaterialPicture } from '../ui/material-picture.tsx';
import { CoarseNote } from './coarse-note.tsx';
import { Sortable } from '../ui/sortable.tsx';
import { MaterialWords } from './material-words.tsx';
import { PickMaterials } from './pick-materials.tsx';
import { Button } from '../ui/button.tsx';
import { IconButton } from '../ui/icon-button.tsx';

interface PictureListProps {
  pictures: readonly string[];
  most: number;
  onChange: (pictures: string[]) => void;
  /** What the pictures stand in, for people who hear the page. */
  of: string;
  /** Where the picture at a place of the list is shown. */
  placeAt: (at: number) => Place;
  withWords?: boolean;
}

function Line({
  material,
  at,
  count,
  place,
  withWords,
  onMove,
  onRemove,
}: {
  material: Material;
  at: number;
  count: number;
  place: Place;
  withWords: boolean;
  onMove: (to: number) => void;
  onRemove: () => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: material.id });
  const name = materialName(material);
  return (
    <li
      ref={setNodeRef}
      className={`flex items-center gap-[10px] bg-paper p-2 shadow-(--lift-1) ${withWords ? 'phone:flex-wrap' : ''}`}
      style={{ transform: CSS.Transform.toString(transform), transition: transition ?? undefined }}
    >
      <IconButton small className="cursor-grab" label={`Move ${name}`} {...attributes} {...listeners}>
        <GripVertical size={16} aria-hidden="true" />
      </IconButton>
      <MaterialPicture material={material} alt="" className="h-20 w-24 object-cover phone:mr-auto" />
      {withWords ? (
        <div className="grid min-w-0 flex-1 gap-2 sm:grid-cols-2 phone:order-last phone:basis-full">
          <MaterialWords material={material} brief />
          <CoarseNote material={material} place={place} />
        </div>
      ) : (
        <p className="min-w-0 flex-1 truncate">{name}</p>
      )}
      <div className={`flex flex-none flex-col ${withWords ? 'phone:flex-row' : ''}`}>
        <IconButton small label={`${name} earlier`} disabled={at === 0} onClick={() => onMove(at - 1)}>
          <ArrowUp size={16} aria-hidden="true" />
        </IconButton>
        <IconButton small label={`${name} later`} disabled={at === count - 1} onClick={() => onMove(at + 1)}>
          <ArrowDown size={16} aria-hidden="true" />
        </IconButton>
        <IconButton small label={`Take ${name} out`} onClick={onRemove}>
          <X size={16} aria-hidden="true" />
        </IconButton>
      </div>
    </li>
  );
}

/** The pictures of an opening or a gallery: their order, their words, adding and taking out. */
export function PictureList({ pictures, most, onChange, of, placeAt, withWords = true }: PictureListProps) {
  const { state } = useSite();
  const materials = pictures.flatMap((id) => state.materials.find((material) => material.id === id) ?? []);
  const move = (from: number, to: number) => onChange(arrayMove([...pictures], from, to));
  return (
    <div className="grid gap-2">
      <Sortable
        ids={materials.map(({ id }) => id)}
        nameOf={(at) => (materials[at] ? materialName(materials[at]) : '')}
        onMove={move}
      >
        <ol className="grid gap-2" aria-label={`Pictures in the ${of}`}>
          {materials.map((material, at) => (
            <Line
              key={material.id}
              material={material}
              at={at}
              count={materials.length}
              place={placeAt(at)}
              withWords={withWords}
              onMove={(to) => move(at, to)}
              onRemove={() => onChange(pictures.filter((id) => id !== material.id))}
            />
          ))}
        </ol>
      </Sortable>
      {pictures.length < most && (
        <PickMaterials
          title={`Pictures for the ${of}`}
          most={most - pictures.length}
          without={pictures}
          onPick={(ids) => onChange([...pictures, ...ids])}
        >
          <Button small className="justify-self-start">
            <Plus size={15} aria-hidden="true" /> Add pictures
          </Button>
        </PickMaterials>
      )}
    </div>
  );
}
