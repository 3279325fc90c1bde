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

/** A material's words in the list, a column each; a phone has room for number, title and use. */
const lineWords =
  'grid min-w-0 flex-1 grid-cols-[28px_minmax(0,2fr)_minmax(0,1fr)_minmax(0,1fr)_70px] gap-3 p-0 text-s leading-5 text-ink-2 narrow:grid-cols-[28px_minmax(0,1fr)_64px]';

/** A material on the wall: looked at, chosen, renamed, dragged. */
export function Tile(props: TileProps) {
  const { material, number, chosenAs, current, used, alike, warnings, view } = props;
  const { renaming, onToggle, onLook, onRename } = props;
  const { listeners, setNodeRef, isDragging } = useDraggable({ id: material.id });
  // The keyboard's way to another project is the field in the facts, of one or of many.
  const { onKeyDown: _byKeyboard, ...byPointer } = listeners ?? {};
  const name = materialName(material);
  const list = view === 'list';
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
      className={`tile ${list ? 'flex h-12 max-w-none flex-[1_1_100%] items-center gap-3 border-b border-b-line' : ''}`}
      style={{ '--r': tileRatio(material) } as React.CSSProperties}
      data-chosen={chosenAs > 0 || undefined}
      data-dragged={isDragging || undefined}
    >
      <button
        type="button"
        className={`tile-picture ${list ? 'h-10.5 w-16 flex-none' : ''}`}
        data-material={material.id}
        onClick={onLook}
        aria-pressed={current}
        {...byPointer}
      >
        <MaterialPicture
          material={material}
          alt=""
          className="h-full w-full object-cover"
          shows={list ? 'sign' : 'all'}
        />
        <span className="sr-only">
          {hasPicture(material) && name}: look at it{looks && '; '}
        </span>
        {!list && material.kind === 'picture' && material.facts.hasGps && (
          <span
            className="absolute bottom-[5px] left-[5px] grid size-5.5 place-items-center rounded-full bg-straw text-ink"
            title="Has a place in it. Removed when published."
          >
            <MapPin size={13} aria-hidden="true" />
            <span className="sr-only">; has a place in it, removed when published</span>
          </span>
        )}
        {looks && (
          <span
            className={
              list
                ? 'sr-only'
                : 'absolute right-0 bottom-0 py-px px-1.5 bg-raised text-ink text-xs leading-4.5'
            }
          >
            {looks}
          </span>
        )}
      </button>
      <label className={`tile-choose ${list ? 'relative top-auto right-auto flex-none' : ''}`}>
        <input
          type="checkbox"
          checked={chosenAs > 0}
          onChange={(event) => onToggle((event.nativeEvent as MouseEvent).shiftKey)}
        />
        <span className="sr-only">Choose {name}</span>
        {chosenAs > 0 && <span aria-hidden="true">{chosenAs}</span>}
      </label>
      <div className={`tile-words ${list ? lineWords : ''}`}>
        <span className="font-mono">{String(number).padStart(2, '0')}</span>
        <TileTitle
          material={material}
          renaming={renaming}
          className={list ? 'font-firm text-ink' : ''}
          empty={list || !used ? 'no title' : ''}
          onRename={onRename}
        />
        {list && (
          <>
            <span className="truncate narrow:hidden">{looks || kindNames[material.kind]}</span>
            <span className="truncate narrow:hidden">
              {material.takenOn ? partialDateInWords(material.takenOn) : 'no date'}
            </span>
          </>
        )}
        <span className="ml-auto">{used ? 'used' : 'not used'}</span>
      </div>
    </li>
  );
}
