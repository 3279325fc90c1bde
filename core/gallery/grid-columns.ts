/**
 * In how many columns an even grid of pictures stands: two beside each other, else three or four, whichever leaves the fuller last
 * row; four where both leave the same.
 */
export function gridColumns(count: number): 1 | 2 | 3 | 4 {
  if (count < 3) return count === 2 ? 2 : 1;
  const filled = (columns: number) => (count % columns || columns) / columns;
  return filled(4) >= filled(3) ? 4 : 3;
}
