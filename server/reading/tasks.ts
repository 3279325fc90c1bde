import sharp from 'sharp';
import type { PictureFacts, SoundFacts, ClipFacts } from '#core/materials/material.ts';
import type { PictureSource } from '#core/gallery/picture-source.ts';
import { lightMapOf, lightMapText } from '#core/look/light-map.ts';
import type { PreviewSize } from '#contract/material-paths.ts';
import type { BlobStore } from '../media/blob-store.ts';
import { cleanRecording } from '../media/clean-recording.ts';
import { derivePicture, type Derivative, type Recipe } from '../media/derive.ts';
import { kindOfFile } from '../media/kind-of-file.ts';
import { drawShare, type ShareInput } from '../media/draw-share.ts';
import { pixelsOf } from '../media/pixels-of.ts';
import { fromRaw } from '../media/fixed-pixels.ts';
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
  /** How light a picture or page is, part by part, as text; see `LightMap`. */
  light(input: { source: PictureSource }): Promise<string>;
  /** The picture shown where a link to a page is passed on. */
  share(input: ShareInput): Promise<Made>;
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

/** Longest side at which lightness is read, in pixels: about as large as an opening is on most screens. */
const lightPx = 1400;

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
  light: async ({ source }) => {
    const pixels = fromRaw(await pixelsOf(blobs, source, lightPx));
    const { data, info } = await pixels
      .resize({ width: lightPx, height: lightPx, fit: 'inside', withoutEnlargement: true })
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true });
    return lightMapText(
      lightMapOf(data, { widthPx: info.width, heightPx: info.height, channels: info.channels === 4 ? 4 : 3 }),
    );
  },
  share: async (input) => stored(blobs, await drawShare(blobs, input)),
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
