import { z } from 'zod';
import { idSchema } from '../id.ts';
import { showsOne } from './one-material.ts';
import { partBase } from './part-base.ts';
import { holdsNothing, partRules } from './part-rules.ts';
import { webAddress } from './web-address.ts';

/** `window`: as wide as the screen, moving behind a frame while the page is read, where things may move. */
const pictureWidths = ['text', 'wide', 'full', 'window'] as const;

export const pictureSchema = partBase.extend({
  kind: z.literal('picture'),
  material: idSchema.nullable(),
  width: z.enum(pictureWidths).default('wide'),
  /** Where a click on it leads; empty: it is opened large. */
  link: webAddress.default(''),
});
type Picture = z.infer<typeof pictureSchema>;

export const picture = partRules<typeof pictureSchema, Pick<Picture, 'material' | 'width' | 'link'>>({
  ...showsOne((kind) => kind === 'picture'),
  ...holdsNothing,
  schema: pictureSchema,
  noun: 'picture',
  start: ([material = null]) => ({ material, width: 'wide', link: '' }),
  isEmpty: ({ material }) => material === null,
  seen: ({ material, width, link }) => ({ material, width, link }),
  changed: () => 'picture changed',
});
