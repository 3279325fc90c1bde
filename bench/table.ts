import { z } from 'zod';

/** One line of the table: what was measured, what it was measured against, and the ratio between them. */
export const rowSchema = z.object({
  what: z.string(),
  ours: z.string(),
  against: z.string(),
  other: z.string(),
  ratio: z.number(),
  /** What the ratio should be, in words. */
  wanted: z.string(),
  reached: z.boolean(),
});
export type Row = z.infer<typeof rowSchema>;

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

/** The rows as a Markdown table; where they are from different days, with the day. */
export function table(rows: readonly (Row & { on?: string })[]): string {
  const days = rows.some(({ on }) => on !== undefined);
  return [
    `| what | ours | against | theirs | ratio | wanted | reached |${days ? ' on |' : ''}`,
    `| --- | --- | --- | --- | --- | --- | --- |${days ? ' --- |' : ''}`,
    ...rows.map(
      (row) =>
        `| ${row.what} | ${row.ours} | ${row.against} | ${row.other} | ${row.ratio.toFixed(2)} | ${row.wanted} | ${row.reached ? 'yes' : 'no'} |${days ? ` ${row.on ?? ''} |` : ''}`,
    ),
  ].join('\n');
}
