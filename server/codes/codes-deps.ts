import type { Database } from '../db/connect.ts';
import type { BlobStore } from '../media/blob-store.ts';
import type { StoredAssets } from '../publish/site-assets.ts';

/** What the routes of a link's codes, and of the cards they are printed on, stand on. */
export interface CodesDeps {
  db: Database;
  blobs: BlobStore;
  assets: StoredAssets;
  secret: Buffer;
  publicOrigin: string;
}
