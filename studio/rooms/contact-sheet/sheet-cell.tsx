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
    <li
      className="w-[calc(128px_*_var(--r))] max-w-full narrow:w-[calc(96px_*_var(--r))]"
      style={{ '--r': ratio } as React.CSSProperties}
    >
      <button
        type="button"
        id={`cell-${material.id}`}
        className="cell-picture block relative w-full h-32 bg-raised shadow-1 aria-pressed:outline-3 aria-pressed:outline-vermilion aria-pressed:outline-offset-1 focus-visible:outline-3 focus-visible:outline-ink focus-visible:outline-offset-[3px] narrow:h-24"
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
          <span
            className="absolute -right-[9px] -top-[9px] w-6 h-6 rounded-full grid place-items-center bg-vermilion text-white font-text font-bold text-[12px] leading-none"
            aria-hidden="true"
          >
            {place}
          </span>
        )}
      </button>
      <p
        className="flex gap-[7px] overflow-hidden pt-[5px] text-s leading-4.5 whitespace-nowrap text-ink-2"
        aria-hidden="true"
      >
        <span className="font-mono">{number}</span>
        <span className={`truncate ${proposed ? 'font-strong text-vermilion-deep' : ''}`}>
          {words || materialName(material)}
        </span>
      </p>
    </li>
  );
}
