import { z } from 'zod';
import { idSchema } from '../id.ts';

const hashSchema = z.string().regex(/^[0-9a-f]{64}$/);

/** One file of a release: bytes by content hash, with the compressed forms made when it was published. */
export const manifestFileSchema = z.object({
  hash: hashSchema,
  type: z.string(),
  bytes: z.number().int().nonnegative(),
  /** Hashes of the same bytes, compressed. */
  br: hashSchema.optional(),
  gzip: hashSchema.optional(),
  /** The name under which a reader's computer keeps it: it is saved and never opened in place. */
  download: z.string().optional(),
  /** The name carries the content's hash: readers may keep the file for good. */
  immutable: z.boolean(),
  /** For files of pictures, documents and recordings: ids of the materials they show something of. */
  of: z.array(idSchema).optional(),
  /** For share pictures: paths of the pages whose titles they show. One is open while a page of them is. */
  pages: z.array(z.string()).optional(),
  /** For pages: the SHA-256 (base64) of the page's own style element, for the content security policy. */
  styleHash: z.string().optional(),
  /** For pages: origins of what readers may ask to see in place, for the content security policy. */
  frames: z.array(z.string()).optional(),
  /** For pages: the page's id. Pages of releases made before comments have none. */
  page: idSchema.optional(),
  /** For pages: readers can write to the maker on it. */
  writes: z.literal(true).optional(),
});
export type ManifestFile = z.infer<typeof manifestFileSchema>;

/** Files by path below the entrance, for example `tide-clock/index.html`. */
export const fileTreeSchema = z.record(z.string(), manifestFileSchema);
export type FileTree = z.infer<typeof fileTreeSchema>;

/**
 * A release: for each way in, exactly the files that way in may fetch. An entrance that is missing does not
 * exist for readers. Keys and addresses are not part of it, so they can be renewed without publishing.
 */
export const manifestSchema = z.object({
  /** For strangers, at the site's address. */
  public: fileTreeSchema.nullable(),
  /** For people holding the site's link. */
  siteLink: fileTreeSchema.nullable(),
  /** For people holding the link of one page, by page id. */
  pageLinks: z.record(idSchema, fileTreeSchema),
});
export type Manifest = z.infer<typeof manifestSchema>;
