import sharp from 'sharp';
import type { PictureFacts, SoundFacts, ClipFacts } from '#core/materials/material.ts';
import type { PictureSource } from '#core/gallery/picture-source.ts';
import type { PreviewSize } from '#contract/material-paths.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { cleanRecording } from '../media/clean-recording.ts';
import { derivePicture, type Derivative, type Recipe } from '../media/derive.ts';
import { kindOfFile } from '../media/kind-of-file.ts';
import { pixelsOf } from '../media/pixels-of.ts';
import { type Preview, previewFrom } from '../media/preview-from.ts';
import { readPicture } from '../media/read-picture.ts';
import type { FileFromOutside } from './file-from-outside.ts';
import { readFileFromOutside, storedPreviews, type ReadFile, type StoredPreview } from './read-file.ts';

interface Made {
  hash: string;
  bytes: number;
}

/**
 * Everything that looks inside bytes from outside. It happens in reading processes and nowhere else; what it gives back is
 * small, since whatever is large is written to the store there.
 */
export interface Tasks {
  /** Reads a file of any kind that is taken. */
  file(input: FileFromOutside): Promise<ReadFile>;
  /** Reads a file that has to be a picture; null when it is something else. */
  picture(input: FileFromOutside): Promise<{ facts: PictureFacts; previews: StoredPreview[] } | null>;
  /** Makes files of a picture or page for readers. */
  derive(input: { source: PictureSource; recipes: readonly Recipe[] }): Promise<Derivative[]>;
  /** Makes what the studio shows of a picture or page. */
  preview(input: { source: PictureSource; size: PreviewSize }): Promise<Preview>;
  /** The recording without what else its file carries. */
  play(input: { original: string; format: SoundFacts['format'] | ClipFacts['format'] }): Promise<Made>;
  /** A moving picture as readers get it: WebP, no wider than a column. */
  moving(input: { original: string }): Promise<Made>;
}
export type TaskName = keyof Tasks;
export type TaskInput<N extends TaskName> = Parameters<Tasks[N]>[0];
export type TaskOutput<N extends TaskName> = Awaited<ReturnType<Tasks[N]>>;

async function stored(blobs: BlobStore, contents: Buffer): Promise<Made> {
  return { hash: await blobs.put(contents), bytes: contents.byteLength };
}

/** @param blobs the store that the server itself writes to as well */
export const tasksOn = (blobs: BlobStore): Tasks => ({
  file: (input) => readFileFromOutside(input, blobs),
  picture: async ({ path, bytes, name, maxPixels }) => {
    const kind = await kindOfFile(path, bytes, name);
    if (kind.kind !== 'picture') return null;
    const { facts, previews } = await readPicture(path, kind.format, maxPixels);
    return { facts, previews: await storedPreviews(previews, blobs) };
  },
  derive: ({ source, recipes }) => derivePicture(blobs, source, recipes),
  preview: async ({ source, size }) => previewFrom(await pixelsOf(blobs, source, size), size),
  play: async ({ original, format }) => stored(blobs, await cleanRecording(blobs.pathOf(original), format)),
  moving: async ({ original }) =>
    stored(
      blobs,
      await sharp(blobs.pathOf(original), { animated: true, limitInputPixels: false })
        .resize({ width: 960, withoutEnlargement: true })
        .webp({ quality: 70, effort: 2 })
        .toBuffer(),
    ),
});
