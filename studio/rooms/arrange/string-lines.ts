import type { TreeRow } from '#core/pages/carrying.ts';

/**
 * For each row, and each level down to its own, whether the string of that level goes on below it. What stands at the top is
 * tied to the string of level 0 itself; what stands deeper hangs on the string of the level above its own, which begins at
 * the page it stands below.
 */
export function stringLines(rows: readonly Pick<TreeRow, 'depth'>[]): boolean[][] {
  const goesOn: boolean[] = [];
  return [...rows]
    .reverse()
    .map(({ depth }) => {
      const lines = Array.from({ length: depth + 1 }, (_, level) => goesOn[level] ?? false);
      // Strings that begin at this row or below it do not reach up beyond it.
      goesOn.length = Math.max(depth, 1);
      goesOn[Math.max(depth - 1, 0)] = true;
      return lines;
    })
    .reverse();
}
