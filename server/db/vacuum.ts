import { sql } from 'drizzle-orm';
import type { Database } from './connect.ts';

/**
 * Makes room that rows written anew have left behind usable again. A PostgreSQL server does it by itself; the embedded one
 * has nobody to do it. It holds up other questions for as long as it takes, and must not run in a transaction.
 */
export async function vacuum(db: Database): Promise<void> {
  await db.execute(sql`vacuum (analyze)`);
}
