import type { FastifyInstance } from 'fastify';
import type { Database } from '../db/connect.ts';
import { askAnything } from './sizes-of.ts';

/** How long an answer holds, in ms: whoever asks often makes the database work no more. */
const holdsMs = 1000;
/** A database that takes longer than this does not answer, in ms. */
const patienceMs = 5000;

/** Whether the database answers at all. */
async function answers(db: Database): Promise<boolean> {
  let late: NodeJS.Timeout | undefined;
  const tooLate = new Promise<boolean>((resolve) => {
    late = setTimeout(() => resolve(false), patienceMs);
  });
  const asked = askAnything(db).then(
    () => true,
    () => false,
  );
  return Promise.race([asked, tooLate]).finally(() => clearTimeout(late));
}

/**
 * `/api/health`, for what watches over the server: 200 while it takes requests and its database answers, else 503. Says
 * nothing else, so that everybody may ask.
 */
export function healthRoute(app: FastifyInstance, { db }: { db: Database }): void {
  let last: { at: number; well: Promise<boolean> } | null = null;
  app.get('/api/health', async (_request, reply) => {
    const at = performance.now();
    if (!last || at - last.at > holdsMs) last = { at, well: answers(db) };
    const well = await last.well;
    return reply
      .code(well ? 200 : 503)
      .header('cache-control', 'no-store')
      .send({ status: well ? 'well' : 'database-does-not-answer' });
  });
}
