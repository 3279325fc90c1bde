import { sql } from 'drizzle-orm';
import type { Executor } from './connect.ts';

/** So many of the last steps of each site can be taken back however old they are. */
const stepsKept = 500;

/**
 * Forgets steps of undo that are old and far back, both: an account that is used for years would keep every word it ever
 * had. Whatever they did stays as it is.
 *
 * @param steps so many of the last of each site stay
 * @param keptMs so do all that are younger, in ms
 */
export async function forgetOldSteps(
  db: Executor,
  { steps = stepsKept, keptMs }: { steps?: number; keptMs: number },
): Promise<void> {
  const before = new Date(Date.now() - keptMs).toISOString();
  await db.execute(sql`
    delete from edit using (
      select revision, row_number() over (partition by site_id order by revision desc) as back from edit
    ) as ranked
    where ranked.revision = edit.revision and ranked.back > ${steps} and edit.at < ${before}::timestamptz`);
}
