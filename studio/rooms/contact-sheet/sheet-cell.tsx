import type { Material } from '#core/materials/material.ts';
import { materialName, MaterialPicture, shapeOf } from '../../ui/material-picture.tsx';

interface SheetCellProps {
  material: Material;
  /** "07": its number on the sheet. */
  number: string;
  /** Its place among the chosen, from 1; 0 when it is not chosen. */
  place: number;
  /** Why it is proposed or left out. */
  words: string;
  proposed: boolean;
  tabStop: boolean;
  onToggle: () => void;
  onFocus: () => void;
}

/** One picture of the sheet: pressed when it is chosen. */
export function SheetCell(props: SheetCellProps) {
  const { material, number, place, words, proposed, tabStop, onToggle, onFocus } = props;
  const { widthPx, heightPx } = shapeOf(material);
  const ratio = Math.min(2, Math.max(0.7, widthPx / heightPx));
  return (
    <li className="cell" style={{ '--r': ratio } as React.CSSProperties}>
      <button
        type="button"
        id={`cell-${material.id}`}
        className="cell-picture"
        aria-pressed={place > 0}
        tabIndex={tabStop ? 0 : -1}
        onClick={onToggle}
        onFocus={onFocus}
      >
        <MaterialPicture material={material} alt="" className="h-full w-full object-cover" />
        <span className="sr-only">
          {number} {materialName(material)}
          {words && `, ${words}`}
          {place > 0 && `, place ${place}`}
        </span>
        {place > 0 && (
          <span className="cell-place" aria-hidden="true">
            {place}
          </span>
        )}
      </button>
      <p className="cell-words" aria-hidden="true">
        <span className="font-mono">{number}</span>
        <span className={proposed ? 'proposed' : ''}>{words || materialName(material)}</span>
      </p>
    </li>
  );
}
