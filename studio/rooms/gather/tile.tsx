import { useDraggable } from '@dnd-kit/core';
import { MapPin } from 'lucide-react';
import { partialDateInWords } from '#core/dates/partial-date-in-words.ts';
import type { Material } from '#core/materials/material.ts';
import type { Warning } from '#core/gallery/picture-quality.ts';
import { kindLabel, kindNames } from '../../ui/kind-names.ts';
import { hasPicture, materialName, MaterialPicture } from '../../ui/material-picture.tsx';
import { TileTitle } from './tile-title.tsx';
import { tileRatio } from './wall-lines.ts';
import { warningNames } from '../../materials/warning-words.ts';

export interface TileProps {
  material: Material;
  number: number;
  chosenAs: number;
  current: boolean;
  used: boolean;
  /** How many look-alikes it has. */
  alike: number;
  warnings: readonly Warning[];
  view: 'tiles' | 'list';
  renaming: boolean;
  onToggle: (range: boolean) => void;
  onLook: () => void;
  onRename: (renaming: boolean) => void;
}

/** A material on the wall: looked at, chosen, renamed, dragged. */
export function Tile(props: TileProps) {
  const { material, number, chosenAs, current, used, alike, warnings, view } = props;
  const { renaming, onToggle, onLook, onRename } = props;
  const { listeners, setNodeRef, isDragging } = useDraggable({ id: material.id });
  // The keyboard's way to another project is the field in the facts, of one or of many.
  const { onKeyDown: _byKeyboard, ...byPointer } = listeners ?? {};
  const name = materialName(material);
  const looks = [
    kindLabel(material),
    ...(alike > 0 ? [`${alike + 1} alike`] : []),
    ...warnings.map((one) => warningNames[one]),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <li
      ref={setNodeRef}
      className={view === 'list' ? 'tile list-line' : 'tile'}
      style={{ '--r': tileRatio(material) } as React.CSSProperties}
      data-chosen={chosenAs > 0 || undefined}
      data-dragged={isDragging || undefined}
    >
      <button
        type="button"
        className="tile-picture"
        data-material={material.id}
        onClick={onLook}
        aria-pressed={current}
        {...byPointer}
      >
        <MaterialPicture material={material} alt="" className="h-full w-full object-cover" />
        <span className="sr-only">
          {hasPicture(material) && name}: look at it{looks && '; '}
        </span>
        {material.kind === 'picture' && material.facts.hasGps && (
          <span className="gps" title="Has a place in it. Removed when published.">
            <MapPin size={13} aria-hidden="true" />
            <span className="sr-only">; has a place in it, removed when published</span>
          </span>
        )}
        {looks && (
          <span
            className={
              view === 'list'
                ? 'sr-only'
                : 'absolute right-0 bottom-0 py-px px-1.5 bg-raised text-ink text-xs leading-4.5'
            }
          >
            {looks}
          </span>
        )}
      </button>
      <label className="tile-choose">
        <input
          type="checkbox"
          checked={chosenAs > 0}
          onChange={(event) => onToggle((event.nativeEvent as MouseEvent).shiftKey)}
        />
        <span className="sr-only">Choose {name}</span>
        {chosenAs > 0 && <span aria-hidden="true">{chosenAs}</span>}
      </label>
      <div className="tile-words">
        <span className="font-mono">{String(number).padStart(2, '0')}</span>
        <TileTitle
          material={material}
          renaming={renaming}
          empty={view === 'list' || !used ? 'no title' : ''}
          onRename={onRename}
        />
        {view === 'list' && (
          <>
            <span>{looks || kindNames[material.kind]}</span>
            <span>{material.takenOn ? partialDateInWords(material.takenOn) : 'no date'}</span>
          </>
        )}
        <span className="ml-auto">{used ? 'used' : 'not used'}</span>
      </div>
    </li>
  );
}
