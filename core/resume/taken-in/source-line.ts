/** A line of somebody's old résumé: its words, and what its look says of it. */
export interface SourceLine {
  text: string;
  /** A heading or an item of a list, where the source or its look says so. */
  as: 'heading' | 'item' | 'plain';
  /** All of it stands out: bold, or larger than what is around it. */
  strong: boolean;
  /** There is room above it. */
  gap: boolean;
}

/** No résumé has more lines. */
export const mostSourceLines = 1200;
export const tooManyLines = (lines: number): string =>
  `This has ${lines} lines, more than a résumé has. Take the pages with the résumé by themselves.`;
