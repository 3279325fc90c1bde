import type { FastifyInstance } from 'fastify';
import { capturePlaces, sendCaptured } from '#contract/capture.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Commands } from '../commands/commands.ts';
import type { Database } from '../db/connect.ts';
import { handle } from '../http/handle.ts';
import { placesToCapture } from './places.ts';
import { putCaptured } from './put-captured.ts';

/** What is kept on a device while the work goes on, and sent when there is a line. */
export function captureRoutes(
  app: FastifyInstance,
  { db, commands }: { db: Database; commands: Commands },
): void {
  handle(app, capturePlaces, async (_, request) => {
    const { id, name } = makerOf(request);
    return { account: { id, name }, pages: await placesToCapture(db, id) };
  });

  handle(app, sendCaptured, ({ params, body }, request) =>
    putCaptured(commands, { site: params.site, account: makerOf(request).id }, body),
  );
}
