import { pageInFolder } from '#site/folder/page-in-folder.ts';
import type { FileTree } from '#core/release/manifest.ts';
import type { ZipFile } from '../http/zip-of.ts';
import type { BlobStore } from '../media/blob-store.ts';

/**
 * The files of a way into a site as they lie in a folder.
 *
 * @param at where its pages are on the server, with a slash at its end; null where the folder tells nobody
 */
export async function folderFiles(blobs: BlobStore, tree: FileTree, at: string | null): Promise<ZipFile[]> {
  const files: ZipFile[] = [];
  for (const [path, file] of Object.entries(tree)) {
    if (file.type.startsWith('text/html')) {
      const html = (await blobs.read(file.hash)).toString('utf8');
      const online = at === null ? null : at + path.replace(/index\.html$/, '');
      files.push({ path, content: Buffer.from(pageInFolder(html, online)) });
    } else files.push({ path, content: { bytes: file.bytes, open: async () => blobs.stream(file.hash) } });
  }
  return files;
}
