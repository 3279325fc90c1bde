import { z } from 'zod';
import { givenLinkNameSchema } from '#core/access/given-link.ts';
import { idSchema } from '#core/id.ts';
import { atSite, nothing } from './at-site.ts';
import { route } from './route.ts';

export const folderSchema = z.object({
  pages: z.number().int(),
  files: z.number().int(),
  /** Of the ZIP. */
  bytes: z.number(),
  /** Why there is none; null where it can be saved. */
  problem: z.string().nullable(),
});
export type Folder = z.infer<typeof folderSchema>;

/** What the folder would hold that readers of a link get now. */
export const getFolder = route({
  method: 'GET',
  path: '/api/sites/:site/folder/:link',
  params: atSite.extend({ link: z.string().max(120) }),
  body: nothing,
  reply: folderSchema,
});

/** The folder itself as a ZIP, for a browser to save. */
export const folderParams = z.object({ site: idSchema, link: givenLinkNameSchema });
export const folderFile = (site: string, link: string): string =>
  `/api/sites/${site}/folder/${link}/site.zip`;
