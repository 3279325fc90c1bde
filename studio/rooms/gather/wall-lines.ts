import type { MaterialGroup } from '#core/materials/group-materials.ts';
import type { Material } from '#core/materials/material.ts';
import { shapeOf } from '../../ui/material-picture.tsx';

/** A line of the wall: the head of a group, or materials side by side. */
export type WallLine =
  | { kind: 'head'; key: string; group: MaterialGroup; heightPx: number }
  | { kind: 'row'; key: string; group: MaterialGroup; materials: Material[]; heightPx: number };

const gapPx = 10;
const headPx = 42;
/** A tile with the words below it, and the room below those. */
const tilePx = 112 + 19 + gapPx;
const listLinePx = 52;

/** Width divided by height of a tile, kept within what is still a picture and not a strip. */
export function tileRatio(material: Material): number {
  const { widthPx, heightPx } = shapeOf(material);
  return Math.min(2.2, Math.max(0.6, widthPx / heightPx));
}
/** The least width of a tile; it grows from there to fill its row. */
const tileWidthPx = (material: Material): number => Math.max(72, tileRatio(material) * 104);

/**
 * Breaks groups into lines of known heights, so that only those in sight need to be drawn.
 *
 * @param widthPx room for a row
 * @param view tiles side by side, or a line for each
 */
export function wallLines(
  groups: readonly MaterialGroup[],
  widthPx: number,
  view: 'tiles' | 'list',
): WallLine[] {
  return groups.flatMap((group): WallLine[] => {
    const lines: WallLine[] = [{ kind: 'head', key: group.key, group, heightPx: headPx }];
    const put = (materials: Material[], heightPx: number) =>
      lines.push({ kind: 'row', key: `${group.key} ${materials[0]?.id ?? ''}`, group, materials, heightPx });
    if (view === 'list') {
      for (const material of group.materials) put([material], listLinePx);
      return lines;
    }
    let row: Material[] = [];
    let used = 0;
    for (const material of group.materials) {
      const width = tileWidthPx(material);
      if (row.length > 0 && used + gapPx + width > widthPx) {
        put(row, tilePx);
        row = [];
        used = 0;
      }
      used += width + (row.length > 0 ? gapPx : 0);
      row.push(material);
    }
    if (row.length > 0) put(row, tilePx);
    return lines;
  });
}
