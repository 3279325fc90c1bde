import { open } from 'node:fs/promises';
import { fileTypeFromFile } from 'file-type';
import type { DocumentFormat } from '#core/materials/document.ts';
import type { pictureFormats } from '#core/materials/material.ts';
import { looksLikeText } from '../documents/text-of.ts';
import { Problem } from '../http/problem.ts';

export type KindOfFile =
  | { kind: 'picture'; format: (typeof pictureFormats)[number] }
  | { kind: 'document'; format: DocumentFormat }
  /** Whether it is a sound or a clip shows when its tracks are read. */
  | { kind: 'recording' };

const kinds: Record<string, KindOfFile> = {
  'image/jpeg': { kind: 'picture', format: 'jpeg' },
  'image/png': { kind: 'picture', format: 'png' },
  'image/apng': { kind: 'picture', format: 'png' },
  'image/webp': { kind: 'picture', format: 'webp' },
  'image/avif': { kind: 'picture', format: 'avif' },
  'image/gif': { kind: 'picture', format: 'gif' },
  'image/heic': { kind: 'picture', format: 'heic' },
  'image/heif': { kind: 'picture', format: 'heic' },
  'application/pdf': { kind: 'document', format: 'pdf' },
  'application/vnd.openxmlformats-officedocument.wordprocessingml.document': {
    kind: 'document',
    format: 'docx',
  },
  'application/vnd.oasis.opendocument.text': { kind: 'document', format: 'odt' },
  'application/vnd.openxmlformats-officedocument.presentationml.presentation': {
    kind: 'document',
    format: 'pptx',
  },
  'application/vnd.oasis.opendocument.presentation': { kind: 'document', format: 'odp' },
  'audio/mpeg': { kind: 'recording' },
  'audio/mp4': { kind: 'recording' },
  'audio/x-m4a': { kind: 'recording' },
  'audio/ogg': { kind: 'recording' },
  'audio/ogg; codecs=opus': { kind: 'recording' },
  'audio/wav': { kind: 'recording' },
  'video/mp4': { kind: 'recording' },
  'video/x-m4v': { kind: 'recording' },
  'video/webm': { kind: 'recording' },
};

/** What is taken, in one line; said wherever a file is refused. */
const takenKinds =
  'Pictures (JPEG, PNG, HEIC, WebP, AVIF, GIF), documents (PDF, DOCX, ODT, Markdown, plain text, PPTX, ODP), sound (MP3, M4A, OGG, WAV) and clips (MP4, WebM) are taken.';

/** What to do with files that people often have and no browser shows. */
const instead: Record<string, string> = {
  'video/quicktime':
    'This is a QuickTime clip, which many browsers cannot play. Share or export it as MP4 (H.264) and add it again.',
  'application/x-cfb':
    'This is a document of an old office program. Open it, save it as DOCX or PDF, and add that.',
  'application/rtf': 'This is an RTF document. Open it, save it as DOCX or PDF, and add that.',
  'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet':
    'This is a spreadsheet. Save the sheet you want to show as PDF and add that.',
  'application/vnd.oasis.opendocument.spreadsheet':
    'This is a spreadsheet. Save the sheet you want to show as PDF and add that.',
  'text/vtt':
    'These are captions. Open the facts of the sound or clip they belong to, and take them in there.',
  'application/zip': 'This is an archive. Unpack it and add the files that are in it.',
};

const refused = (code: string, message: string) => new Problem(415, code, message);

/**
 * What kind of file this is, by its bytes; the name only tells Markdown from plain text, which no byte can.
 *
 * @throws Problem with a sentence for the maker when it is of no kind that is taken
 */
export async function kindOfFile(path: string, bytes: number, name: string): Promise<KindOfFile> {
  if (bytes === 0)
    throw new Problem(422, 'empty', 'This file is empty: 0 bytes. Copy it from where it came from again.');
  const type = await fileTypeFromFile(path);
  const known = type && kinds[type.mime];
  if (known) return known;
  const advice = type && instead[type.mime];
  if (advice) throw refused('other-kind', advice);
  if (type?.mime.startsWith('image/'))
    throw refused(
      'kind-of-picture',
      `This is a ${type.ext.toUpperCase()} picture. Save it as JPEG, PNG, WebP or AVIF and add it again.`,
    );
  if (type && !/xml|html/.test(type.mime))
    throw refused('other-kind', `Files of the kind ${type.ext.toUpperCase()} are not taken. ${takenKinds}`);

  const file = await open(path);
  const start = Buffer.alloc(Math.min(bytes, 64 * 1024));
  await file.read(start, 0, start.length, 0).finally(() => file.close());
  const markup = /^\s*(?:\ufeff)?<(\?xml|!doctype|svg|html|head|body)/i.test(start.toString('latin1'));
  if (markup)
    throw refused(
      'markup',
      'This is a drawing or page in XML or HTML, which can hold programs. Save it as PNG or PDF and add that.',
    );
  if (
    looksLikeText(start) &&
    !/\.(jpe?g|png|webp|avif|gif|pdf|docx|odt|mp[34]|m4a|webm|wav|ogg)$/i.test(name)
  )
    return { kind: 'document', format: /\.(md|markdown|mdown)$/i.test(name) ? 'markdown' : 'text' };
  throw refused(
    'not-its-name',
    `What is in this file is not what its name says. Check that it opens on your computer. ${takenKinds}`,
  );
}
