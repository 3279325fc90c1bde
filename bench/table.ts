/** One line of the table: what was measured, what it was measured against, and the ratio between them. */
export interface Row {
  what: string;
  ours: string;
  against: string;
  other: string;
  ratio: number;
  /** What the ratio should be, in words. */
  wanted: string;
  reached: boolean;
}

const milliseconds = (ms: number): string =>
  ms >= 10_000 ? `${(ms / 1000).toFixed(1)} s` : `${ms.toFixed(0)} ms`;
export { milliseconds };

/** The middle one of some measurements: one slow run on a shared machine does not count. */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? Number.NaN;
}

/** Time of one run, in milliseconds. */
export async function timed(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await work();
  return performance.now() - start;
}

/** The rows as a Markdown table. */
export function table(rows: readonly Row[]): string {
  return [
    '| what | ours | against | theirs | ratio | wanted | reached |',
    '| --- | --- | --- | --- | --- | --- | --- |',
    ...rows.map(
      (row) =>
        `| ${row.what} | ${row.ours} | ${row.against} | ${row.other} | ${row.ratio.toFixed(2)} | ${row.wanted} | ${row.reached ? 'yes' : 'no'} |`,
    ),
  ].join('\n');
}
