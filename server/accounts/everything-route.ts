import { format } from 'date-fns';
import type { FastifyInstance } from 'fastify';
import { Readable } from 'node:stream';
import yazl from 'yazl';
import { everythingPath } from '#contract/account.ts';
import { everythingSchema, jsonSchemaOf, releaseFileSchema } from '#contract/everything.ts';
import type { Database } from '../db/connect.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { everythingOf, releaseOf } from './everything-rows.ts';
import { makerOf } from './sessions.ts';

const readMe = `Everything of an account of Kite Wall.

everything.json            account, sites, pages, parts, passes, hand-ins, messages, and what is known of each file
everything.schema.json     describes it: JSON Schema, draft 2020-12
files/                     the files as they were brought, untouched
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
      const zip = new yazl.ZipFile();
      const failed = (error: unknown) => void (zip.outputStream as Readable).destroy(error as Error);
      zip.on('error', failed);
      const later = (path: string, open: () => Promise<Readable>, compress: boolean) =>
        zip.addReadStreamLazy(path, { compress }, (take) => {
          open().then(
            (stream) => take(null, stream),
            (error: unknown) => take(error, null as never),
          );
        });
      zip.addBuffer(Buffer.from(readMe), 'README.txt');
      zip.addBuffer(json(jsonSchemaOf(everythingSchema)), 'everything.schema.json');
      zip.addBuffer(json(jsonSchemaOf(releaseFileSchema)), 'release.schema.json');
      zip.addBuffer(json(all), 'everything.json');
      for (const { site, releases } of all.sites)
        for (const { number, file } of releases)
          later(file, async () => Readable.from([json(await releaseOf(db, site.id, number))]), true);
      for (const { material, file } of all.materials)
        if (file !== null) later(file, async () => blobs.stream(material.original), false);
      zip.end();
      return reply
        .headers({
          'content-type': 'application/zip',
          'content-disposition': `attachment; filename="kite-wall-${format(new Date(), 'yyyy-MM-dd')}.zip"`,
          'x-content-type-options': 'nosniff',
        })
        .send(zip.outputStream);
    },
  );
}
