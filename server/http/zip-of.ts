import type { Readable } from 'node:stream';
import yazl from 'yazl';

/** One file of a ZIP: its bytes, or what opens them when its turn comes. */
export interface ZipFile {
  path: string;
  content: Buffer | { bytes?: number; open: () => Promise<Readable> };
}

/**
 * A ZIP that is written while it is sent: one file is open at a time and nothing of it is kept. Files lie in it as they are, so that
 * how long it is can be said before, where the length of each is known.
 *
 * @returns the stream, which fails where a file cannot be read; and its length in bytes, null where that is not known
 */
export async function zipOf(files: Iterable<ZipFile>): Promise<{ stream: Readable; bytes: number | null }> {
  const zip = new yazl.ZipFile();
  const stream = zip.outputStream as Readable;
  zip.on('error', (error) => void stream.destroy(error as Error));
  for (const { path, content } of files) {
    if (Buffer.isBuffer(content)) zip.addBuffer(content, path, { compress: false });
    else
      zip.addReadStreamLazy(
        path,
        { compress: false, ...(content.bytes !== undefined && { size: content.bytes }) },
        (take) => {
          content.open().then(
            (opened) => take(null, opened),
            (error: unknown) => take(error, null as never),
          );
        },
      );
  }
  const bytes = await new Promise<number>((resolve) => {
    zip.end(undefined, resolve as () => void);
  });
  return { stream, bytes: bytes >= 0 ? bytes : null };
}
