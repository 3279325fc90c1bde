import { format } from 'date-fns';
import type { FastifyInstance } from 'fastify';
import { Readable } from 'node:stream';
import { everythingPath } from '#contract/account.ts';
import { everythingSchema, jsonSchemaOf, releaseFileSchema } from '#contract/everything.ts';
import { attachmentsOf } from '../comments/attachment-rows.ts';
import type { Database } from '../db/connect.ts';
import { type ZipFile, zipOf } from '../http/zip-of.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { everythingOf, releaseOf } from './everything-rows.ts';
import { makerOf } from './sessions.ts';

const readMe = `Everything of an account of Kite Wall.

everything.json            account, sites, pages, parts, passes, hand-ins, messages, and what is known of each file
everything.schema.json     describes it: JSON Schema, draft 2020-12
files/                     the files as they were brought, untouched
comments/                  files that readers sent with comments: documents as they were, pictures as WebP
releases/<site>/<n>.json   what each release is made of
release.schema.json        describes those
`;

const json = (value: unknown): Buffer => Buffer.from(`${JSON.stringify(value, null, 2)}\n`);

/** Everything of a maker as one ZIP, written while it is sent: nothing of it is kept on the server. */
export function everythingRoute(
  app: FastifyInstance,
  { db, blobs, secret }: { db: Database; blobs: BlobStore; secret: Buffer },
): void {
  app.get(
    everythingPath,
    { config: { rateLimit: { max: 10, timeWindow: '1 hour' } } },
    async (request, reply) => {
      const { id } = makerOf(request);
      const all = await everythingOf(db, id, secret);
      const files: ZipFile[] = [
        { path: 'README.txt', content: Buffer.from(readMe) },
        { path: 'everything.schema.json', content: json(jsonSchemaOf(everythingSchema)) },
        { path: 'release.schema.json', content: json(jsonSchemaOf(releaseFileSchema)) },
        { path: 'everything.json', content: json(all) },
      ];
      for (const { site, releases } of all.sites)
        for (const { number, file } of releases) {
          const open = async () => Readable.from([json(await releaseOf(db, site.id, number))]);
          files.push({ path: file, content: { open } });
        }
      for (const { material, file } of all.materials)
        if (file !== null)
          files.push({ path: file, content: { open: async () => blobs.stream(material.original) } });
      const said = all.sites.flatMap(({ comments }) => comments);
      const attached = await attachmentsOf(
        db,
        said.map((comment) => comment.id),
      );
      for (const comment of said)
        for (const { id: one, file } of comment.attachments) {
          const stored = attached.get(comment.id)?.find((row) => row.id === one)?.stored;
          if (stored !== undefined)
            files.push({ path: file, content: { open: async () => blobs.stream(stored) } });
        }
      const { stream } = await zipOf(files);
      return reply
        .headers({
          'content-type': 'application/zip',
          'content-disposition': `attachment; filename="kite-wall-${format(new Date(), 'yyyy-MM-dd')}.zip"`,
          'x-content-type-options': 'nosniff',
        })
        .send(stream);
    },
  );
}
