import { z } from 'zod';

/** What the owner of the data tells its readers: start anew at this age, dropping what was kept before, of all sites or of some. */
export const toReaderSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('open'),
    age: z.number(),
    host: z.string(),
    port: z.number(),
    owner: z.string(),
  }),
  z.object({ kind: z.literal('clear'), age: z.number(), sites: z.array(z.string()) }),
  z.object({ kind: z.literal('stop') }),
]);
export type ToReader = z.infer<typeof toReaderSchema>;

/** What a reader answers. */
export const toOwnerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('hearing') }),
  z.object({ kind: z.literal('listening'), port: z.number() }),
  z.object({ kind: z.literal('failed'), code: z.string(), message: z.string() }),
  z.object({ kind: z.literal('cleared'), age: z.number() }),
]);
export type ToOwner = z.infer<typeof toOwnerSchema>;

/**
 * On a response from the owner to a reader: the response may be kept and given to anyone who asks the same, as long
 * as nothing was closed since this age. Its value is that age and the site's id. It never leaves the machine.
 */
export const keepHeader = 'kite-wall-keep';
