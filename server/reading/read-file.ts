import type { PreviewSize } from '#contract/material-paths.ts';
import { piecePictures } from '../documents/piece-pictures.ts';
import { readDocument } from '../documents/read-document.ts';
import type { StoredContent } from '../documents/stored-content.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { kindOfFile } from '../media/kind-of-file.ts';
import type { KindAndFacts } from '../media/new-material.ts';
import { type Preview, previewFrom } from '../media/preview-from.ts';
import { readPicture } from '../media/read-picture.ts';
import { readRecording } from '../media/read-recording.ts';
import type { FileFromOutside } from './file-from-outside.ts';

/** A preview that stands in the store. */
export interface StoredPreview {
  size: PreviewSize;
  hash: string;
  bytes: number;
  widthPx: number;
  heightPx: number;
}

export interface ReadFile {
  of: KindAndFacts;
  takenOn: string | null;
  previews: StoredPreview[];
  content: StoredContent | null;
}

export async function storedPreviews(
  previews: readonly Preview[],
  blobs: BlobStore,
): Promise<StoredPreview[]> {
  return Promise.all(
    previews.map(async ({ size, contents, widthPx, heightPx }) => ({
      size,
      hash: await blobs.put(contents),
      bytes: contents.byteLength,
      widthPx,
      heightPx,
    })),
  );
}

/**
 * Reads a file of any kind that is taken; what is made of it is stored.
 *
 * @throws Problem with a sentence for the maker
 */
export async function readFileFromOutside(
  { path, hash, bytes, name, maxPixels }: FileFromOutside,
  blobs: BlobStore,
): Promise<ReadFile> {
  const file = await kindOfFile(path, bytes, name);
  const nothing = { takenOn: null, previews: [], content: null };
  switch (file.kind) {
    case 'picture': {
      const { facts, takenOn, previews } = await readPicture(path, file.format, maxPixels);
      return {
        of: { kind: 'picture', facts },
        takenOn,
        previews: await storedPreviews(previews, blobs),
        content: null,
      };
    }
    case 'document': {
      const { facts, content, cover } = await readDocument(path, hash, file.format, blobs);
      const previews = cover ? [await previewFrom(cover, 480), await previewFrom(cover, 1400)] : [];
      return {
        of: { kind: 'document', facts },
        takenOn: null,
        previews: await storedPreviews(previews, blobs),
        content: {
          hash: await blobs.put(Buffer.from(JSON.stringify(content))),
          pictures: piecePictures(content),
        },
      };
    }
    case 'recording':
      return { ...nothing, of: await readRecording(path) };
  }
}
