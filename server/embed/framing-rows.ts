import { eq } from 'drizzle-orm';
import type { Framing } from '#core/embed/framing.ts';
import type { Database } from '../db/connect.ts';
import { sites } from '../db/schema.ts';

/** Keeps where a site may be shown inside other pages. */
export const keepFraming = (db: Database, site: string, framing: Framing): Promise<unknown> =>
  db.update(sites).set({ framing }).where(eq(sites.id, site));
