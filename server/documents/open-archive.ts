import { Unzip, UnzipInflate } from 'fflate';
import { Problem } from '../http/problem.ts';

/** What comes out of an office file may be this much in all, and this much of it words in XML; more is no document. */
const mostBytes = 200 * 1024 * 1024;
const mostXmlBytes = 32 * 1024 * 1024;
const mostFiles = 5000;
/** Bytes unpacked in one go. Deflate makes at most 1032 bytes of one (zlib's technical details), so that is 16 MB. */
const pieceBytes = 16 * 1024;

const tooLarge = () =>
  new Problem(
    413,
    'too-large-inside',
    'Unpacked, this document is larger than 200 MB, or has more than 32 MB of words. Save its pictures smaller, or a part of it, and add it again.',
  );

/**
 * Files of a ZIP archive, such as every DOCX, ODT, PPTX and ODP is. What the archive says of its sizes is not believed:
 * what really comes out is counted, and unpacking stops where it is too much.
 *
 * @param wanted which of its files, by name; the others are unpacked and counted all the same
 * @throws Problem when it is broken, or unpacks to far more than a document has
 */
export function openArchive(bytes: Uint8Array, wanted: (name: string) => boolean): Map<string, Uint8Array> {
  const files = new Map<string, Uint8Array>();
  let [total, xml, count, ended] = [0, 0, 0, 0];
  try {
    const unzip = new Unzip((file) => {
      if (++count > mostFiles) throw tooLarge();
      const keeps = wanted(file.name);
      const pieces: Uint8Array[] = [];
      file.ondata = (error, piece, final) => {
        if (error) throw error;
        total += piece.length;
        if (/\.(xml|rels)$/i.test(file.name)) xml += piece.length;
        if (total > mostBytes || xml > mostXmlBytes) throw tooLarge();
        if (keeps) pieces.push(piece);
        if (final) {
          ended++;
          if (keeps) files.set(file.name, Buffer.concat(pieces));
        }
      };
      file.start();
    });
    unzip.register(UnzipInflate);
    for (let from = 0; from < bytes.length; from += pieceBytes)
      unzip.push(bytes.subarray(from, from + pieceBytes), from + pieceBytes >= bytes.length);
    if (count === 0 || ended < count) throw new Error('cut off');
    return files;
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(
      422,
      'broken',
      'This document is broken or was cut off on the way. Open it where it was made, save it again and add that.',
    );
  }
}
