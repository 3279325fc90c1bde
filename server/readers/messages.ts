import { z } from 'zod';

/** What the owner of the data tells its readers: start anew at this age, dropping what was kept before, of all sites or of some. */
export const toReaderSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('open'),
    age: z.number(),
    host: z.string(),
    port: z.number(),
    owner: z.string(),
    /** Whether the studio's cookie goes only over HTTPS. */
    secure: z.boolean(),
  }),
  z.object({ kind: z.literal('clear'), age: z.number(), sites: z.array(z.string()) }),
  z.object({ kind: z.literal('stop') }),
]);
export type ToReader = z.infer<typeof toReaderSchema>;

const seenSchema = z.object({ site: z.string(), link: z.string(), path: z.string() });
const visitSchema = z.object({
  seen: seenSchema,
  from: z.string(),
  agent: z.string(),
  token: z.string().nullable(),
});

/** What a reader answers. */
export const toOwnerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('hearing') }),
  z.object({ kind: z.literal('listening'), port: z.number() }),
  z.object({ kind: z.literal('failed'), code: z.string(), message: z.string() }),
  z.object({ kind: z.literal('cleared'), age: z.number() }),
  /** What was opened here since it last said so. */
  z.object({ kind: z.literal('seen'), visits: z.array(visitSchema) }),
]);
export type ToOwner = z.infer<typeof toOwnerSchema>;

/**
 * On a response from the owner to a reader: the response may be kept and given to anyone who asks the same, as long
 * as nothing was closed since this age. Its value is that age, the site's id, and what each of these counts as opened. It never leaves
 * the machine.
 */
export const keepHeader = 'kite-wall-keep';
const keepSchema = z.object({ age: z.number(), site: z.string(), seen: seenSchema.nullable() });
type Keep = z.infer<typeof keepSchema>;

/** A header holds no letters beyond ASCII. */
export const writeKeep = (keep: Keep): string => encodeURIComponent(JSON.stringify(keep));
/** @returns null where there is no such header, or none that can be read: what it is on is then not kept */
export function readKeep(header: string | undefined): Keep | null {
  if (header === undefined) return null;
  try {
    return keepSchema.parse(JSON.parse(decodeURIComponent(header)));
  } catch {
    return null;
  }
}
