import type { FastifyInstance } from 'fastify';
import type { Readable } from 'node:stream';
import { z } from 'zod';
import { resumeLinesSchema } from '#contract/resume.ts';
import { idSchema } from '#core/id.ts';
import { documentContentSchema } from '#core/materials/document.ts';
import { sourceLinesOfDocument } from '#core/resume/taken-in/source-lines-of-document.ts';
import { mostSourceLines, tooManyLines } from '#core/resume/taken-in/source-line.ts';
import { wellFormed } from '#core/words/well-formed.ts';
import { makerOf } from '../accounts/sessions.ts';
import type { Database } from '../db/connect.ts';
import { parsed } from '../http/parsed.ts';
import { Problem } from '../http/problem.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { Reading } from '../reading/reading.ts';
import { ownSite } from '../sites/load-draft.ts';

/** Larger than any résumé, in bytes. */
const mostBytes = 8 * 1024 * 1024;

/**
 * Reads an old résumé line by line, for its maker to take entries from. It is read where all files from outside are, and no row points
 * at anything of it, so that the sweep takes away what the reading left in the store.
 */
export function resumeLinesRoute(
  app: FastifyInstance,
  { db, blobs, reading, maxPixels }: { db: Database; blobs: BlobStore; reading: Reading; maxPixels: number },
): void {
  app.register(async (uploads) => {
    uploads.addContentTypeParser('application/octet-stream', (_request, payload, done) =>
      done(null, payload),
    );
    uploads.post('/api/sites/:site/resume-lines', { bodyLimit: mostBytes * 2 }, async (request) => {
      const { site } = parsed(z.object({ site: idSchema }), request.params);
      const { name } = parsed(
        z.object({ name: z.string().default('').transform(wellFormed) }),
        request.query,
      );
      const account = makerOf(request).id;
      await ownSite(db, account, site);
      const arrival = await blobs.receive(request.body as Readable, mostBytes);
      try {
        const { of, content } = await reading.run('file', { ...arrival, name, maxPixels }, account);
        if (of.kind !== 'document' || !content)
          throw new Problem(
            415,
            'other-kind',
            'This is no document. A résumé is taken in as PDF, DOCX, ODT, text, Markdown or JSON Resume.',
          );
        const read = documentContentSchema.parse(
          JSON.parse((await blobs.read(content.hash)).toString('utf8')),
        );
        const lines = sourceLinesOfDocument(read);
        if (lines.length === 0)
          throw new Problem(
            422,
            'no-words',
            'No words were found in this file: it may be a picture of a page. Copy the words out of it and paste them here.',
          );
        if (lines.length > mostSourceLines) throw new Problem(413, 'too-long', tooManyLines(lines.length));
        return resumeLinesSchema.parse({ lines });
      } finally {
        await blobs.discard(arrival);
      }
    });
  });
}
