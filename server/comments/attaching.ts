import multipart, { type MultipartFile } from '@fastify/multipart';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import { type AttachmentFault, attachmentLimits } from '#core/comments/attachment.ts';
import { idSchema } from '#core/id.ts';
import { cut } from '#core/words/cut.ts';
import { wellFormed } from '#core/words/well-formed.ts';
import { attachField } from '#site/comments/comment-form.ts';
import type { Database } from '../db/connect.ts';
import { newId } from '../db/new-id.ts';
import { limited } from '../http/limited.ts';
import { Problem } from '../http/problem.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { mediaType } from '../media/media-type.ts';
import type { Reading } from '../reading/reading.ts';
import { attach, type OwnComment, roomAt, type StoredAttachment } from './attachment-rows.ts';

/** In an hour: from one place, which may be a whole class behind one address; with one pass at all. */
const limits = { fromPlace: 30, withPass: 100 } as const;

interface AttachingDeps {
  db: Database;
  blobs: BlobStore;
  /** Where bytes from outside are looked into. */
  reading: Reading;
  maxPixels: number;
  now: () => Date;
}

/** What became of a file that was sent; 'gone' where there is no comment of theirs to put it to. */
export type Attached = 'there' | 'gone' | AttachmentFault;

/**
 * Takes files to comments, through the door through which files of makers come: they are looked into in a process of its own. Of a
 * picture its pixels are kept and nothing else; a document is kept as it is, and only ever saved, never opened by us in place.
 *
 * @param app with the package of limits registered; reads forms with files from now on
 */
export async function attaching(
  app: FastifyInstance,
  { db, blobs, reading, maxPixels, now }: AttachingDeps,
): Promise<
  (
    request: FastifyRequest,
    whose: (comment: string) => OwnComment | null,
  ) => Promise<{
    comment: string | null;
    attached: Attached;
  }>
> {
  await app.register(multipart, {
    limits: { fileSize: attachmentLimits.bytes, files: 1, fields: 4, fieldSize: 200, headerPairs: 20 },
    // Said here, so that a file that is too large is refused with a sentence and not with an error.
    throwFileSizeLimit: false,
  });
  const mayFromPlace = limited(app, limits.fromPlace);
  const mayWithPass = limited(app, limits.withPass);

  async function takenIn(part: MultipartFile, by: string): Promise<StoredAttachment | AttachmentFault> {
    const fileName = cut(wellFormed(part.filename).trim(), 255);
    const arrival = await blobs.receive(part.file, attachmentLimits.bytes);
    try {
      if (part.file.truncated) return 'large';
      if (arrival.bytes === 0 || fileName === '') return 'none';
      const { of, previews } = await reading.run('file', { ...arrival, name: fileName, maxPixels }, by);
      const id = newId();
      if (of.kind === 'document') {
        await blobs.keep(arrival);
        const type = mediaType('document', of.facts.format);
        return {
          id,
          fileName,
          kind: 'document',
          bytes: arrival.bytes,
          stored: arrival.hash,
          mediaType: type,
        };
      }
      const [drawn] = [...previews].sort((a, b) => b.size - a.size);
      if (of.kind !== 'picture' || !drawn) return 'kind';
      return {
        id,
        fileName,
        kind: 'picture',
        bytes: drawn.bytes,
        stored: drawn.hash,
        mediaType: 'image/webp',
      };
    } finally {
      await blobs.discard(arrival);
    }
  }

  return async (request, whose) => {
    const part = await request.file().catch(() => undefined);
    const given = part?.fields[attachField];
    const named = given && !Array.isArray(given) && 'value' in given ? given.value : null;
    const comment = idSchema.safeParse(named).data ?? null;
    const own = comment === null ? null : whose(comment);
    const leave = (attached: Attached) => {
      // What is not taken is read to its end, so that the answer is not lost on the way.
      part?.file.resume();
      return { comment, attached };
    };
    if (!part || !own) return leave('gone');
    const room = await roomAt(db, own);
    if (room !== 'there') return leave(room);
    if (
      !(await mayFromPlace(request, `${own.pass} files from ${request.ip}`)) ||
      !(await mayWithPass(request, `${own.pass} files`))
    )
      return leave('often');
    const taken = await takenIn(part, `comment ${own.pass}`).catch((error: unknown): AttachmentFault => {
      if (!(error instanceof Problem)) throw error;
      return error.status === 415 ? 'kind' : 'broken';
    });
    return { comment, attached: typeof taken === 'string' ? taken : await attach(db, own, taken, now()) };
  };
}
