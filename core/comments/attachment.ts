import { z } from 'zod';
import { idSchema } from '../id.ts';

/** What somebody puts to a comment at most: files to one, bytes a file, and bytes on all pages of a site. */
export const attachmentLimits = { each: 3, bytes: 8 * 1024 * 1024, ofSite: 200 * 1024 * 1024 } as const;

/** A file that lies with a comment. Its maker gets it; whoever sent it sees its name; nobody else is told of it. */
export const attachmentSchema = z.object({
  id: idSchema,
  fileName: z.string(),
  kind: z.enum(['picture', 'document']),
  bytes: z.number().int().nonnegative(),
});
export type Attachment = z.infer<typeof attachmentSchema>;

/**
 * Why a file was not put to a comment. `none`: none was sent. `kind`: it is neither a picture nor a document. `broken`: it does not open.
 * `many`, `full`: the comment, or the site, has no room. `often`: too many came of late.
 */
export const attachmentFaults = ['none', 'large', 'kind', 'broken', 'many', 'full', 'often'] as const;
export type AttachmentFault = (typeof attachmentFaults)[number];
