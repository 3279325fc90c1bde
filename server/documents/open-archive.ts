import { unzipSync } from 'fflate';
import { Problem } from '../http/problem.ts';

/** Unpacked, an office file may take this much; one that says more is not a document but a trap. */
const mostBytes = 400 * 1024 * 1024;

/**
 * Files of a ZIP archive, such as every DOCX, ODT, PPTX and ODP is.
 *
 * @param wanted which of its files, by name
 * @throws Problem when it is broken, or would unpack to far more than a document has
 */
export function openArchive(bytes: Uint8Array, wanted: (name: string) => boolean): Map<string, Uint8Array> {
  let total = 0;
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        total += originalSize;
        if (total > mostBytes)
          throw new Problem(
            413,
            'too-large-inside',
            'Unpacked, this document is larger than 400 MB. Save its pictures smaller and add it again.',
          );
        return wanted(name);
      },
    });
    return new Map(Object.entries(files));
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(
      422,
      'broken',
      'This document is broken or was cut off on the way. Open it where it was made, save it again and add that.',
    );
  }
}
