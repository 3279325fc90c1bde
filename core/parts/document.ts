import { z } from 'zod';
import { idSchema } from '../id.ts';
import { showsOne } from './one-material.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules } from './part-rules.ts';

export const documentSchema = partBase.extend({
  kind: z.literal('document'),
  material: idSchema.nullable(),
  /** Readers may download the file itself, with whatever it holds. */
  download: z.boolean().default(false),
});
type Document = z.infer<typeof documentSchema>;

export const document = partRules<typeof documentSchema, Pick<Document, 'material' | 'download'>>({
  ...showsOne((kind) => kind === 'document'),
  ...holdsNothing,
  schema: documentSchema,
  noun: 'document',
  start: ([material = null]) => ({ material, download: false }),
  isEmpty: ({ material }) => material === null,
  seen: ({ material, download }, { downloads }) => ({ material, download: download && downloads }),
  changed: () => 'document changed',
  downloads: ({ material, download }) => (download && material !== null ? [material] : []),
});
