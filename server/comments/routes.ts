import type { FastifyInstance } from 'fastify';
import { changeComment, listComments } from '#contract/comments.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { idSchema } from '#core/id.ts';
import { z } from 'zod';
import { handle } from '../http/handle.ts';
import { parsed } from '../http/parsed.ts';
import { sendRanged } from '../http/send-ranged.ts';
import { notFound } from '../http/problem.ts';
import type { Mailing } from '../mail/mailing.ts';
import { changeComment as change, receivedBy } from './comment-rows.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { attachmentFor } from './attachment-rows.ts';
import { tellCommenter } from './tell-commenter.ts';

/** What readers say of a maker's pages, for that maker. */
export function commentRoutes(
  app: FastifyInstance,
  {
    db,
    blobs,
    mailing,
    changed,
    now,
  }: {
    db: Database;
    blobs: BlobStore;
    mailing: Pick<Mailing, 'sends' | 'look'>;
    changed: (site: string) => Promise<void>;
    now: () => Date;
  },
): void {
  handle(app, listComments, async (_, request) => ({
    comments: await receivedBy(db, makerOf(request).id),
  }));

  app.get('/api/comments/:comment/attachments/:attachment', async (request, reply) => {
    const { comment, attachment } = parsed(
      z.object({ comment: idSchema, attachment: idSchema }),
      request.params,
    );
    const file = await attachmentFor(db, makerOf(request).id, comment, attachment);
    if (!file) throw notFound('This file');
    reply
      .header('x-content-type-options', 'nosniff')
      .header('cache-control', 'private, no-cache')
      // Whatever is in it, nothing of it runs here.
      .header('content-security-policy', "default-src 'none'; sandbox");
    // Of a picture we drew the pixels ourselves. A document is somebody else's file: it is saved, and not opened in place.
    if (file.kind === 'document')
      reply.header(
        'content-disposition',
        `attachment; filename*=UTF-8''${encodeURIComponent(file.fileName)}`,
      );
    return sendRanged(request, reply, blobs, {
      ...{ hash: file.stored, bytes: file.bytes },
      type: file.kind === 'picture' ? file.mediaType : 'application/octet-stream',
    });
  });

  handle(app, changeComment, async ({ params, body }, request) => {
    const { id } = makerOf(request);
    const site = await change(db, id, params.comment, body, now());
    if (site === null) throw notFound('This comment');
    // Before its maker is told so, it holds for every reader.
    await changed(site);
    if (typeof body.answer === 'string') await tellCommenter(db, mailing, params.comment, now());
    return { comments: await receivedBy(db, id) };
  });
}
