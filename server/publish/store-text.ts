import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import type { ManifestFile } from '#core/release/manifest.ts';
import type { BlobStore } from '../media/blob-store.ts';

const brotli = promisify(brotliCompress);
const gzipped = promisify(gzip);

/** Stores text with its compressed forms, made once so that serving never compresses. */
export async function storeText(blobs: BlobStore, contents: Buffer, type: string): Promise<ManifestFile> {
  const [br, gz] = await Promise.all([
    brotli(contents, {
      params: {
        [constants.BROTLI_PARAM_QUALITY]: 9,
        [constants.BROTLI_PARAM_SIZE_HINT]: contents.byteLength,
      },
    }),
    gzipped(contents, { level: 9 }),
  ]);
  const smaller = async (made: Buffer) =>
    made.byteLength < contents.byteLength ? await blobs.put(made) : undefined;
  const [hash, brHash, gzipHash] = [await blobs.put(contents), await smaller(br), await smaller(gz)];
  return {
    hash,
    type,
    bytes: contents.byteLength,
    immutable: false,
    ...(brHash ? { br: brHash } : {}),
    ...(gzipHash ? { gzip: gzipHash } : {}),
  };
}
