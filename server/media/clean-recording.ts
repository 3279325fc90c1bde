import type { OutputFormat } from 'mediabunny';
import type { ClipFacts, SoundFacts } from '#core/materials/material.ts';

async function formatOf(format: SoundFacts['format'] | ClipFacts['format']): Promise<OutputFormat> {
  const { Mp3OutputFormat, Mp4OutputFormat, OggOutputFormat, WavOutputFormat, WebMOutputFormat } =
    await import('mediabunny');
  switch (format) {
    case 'mp3':
      return new Mp3OutputFormat();
    case 'ogg':
      return new OggOutputFormat();
    case 'wav':
      return new WavOutputFormat();
    case 'webm':
      return new WebMOutputFormat();
    case 'mp4':
    case 'm4a':
      // The index first, so that a player need not fetch the end before it can begin.
      return new Mp4OutputFormat({ fastStart: 'in-memory' });
  }
}

/**
 * The sound and pictures of a recording in a new file of the same format: nothing is encoded again, and what else the
 * file carried (place, device, names, covers) is not taken along.
 *
 * @throws Error when its tracks cannot be put into a file of that format
 */
export async function cleanRecording(
  path: string,
  format: SoundFacts['format'] | ClipFacts['format'],
): Promise<Buffer> {
  const { ALL_FORMATS, BufferTarget, Conversion, FilePathSource, Input, Output } = await import('mediabunny');
  const input = new Input({ source: new FilePathSource(path), formats: ALL_FORMATS });
  try {
    const target = new BufferTarget();
    const output = new Output({ format: await formatOf(format), target });
    const conversion = await Conversion.init({ input, output, tags: {}, showWarnings: false });
    if (!conversion.isValid) throw new Error('Its tracks do not fit into a new file.');
    await conversion.execute();
    if (!target.buffer) throw new Error('Nothing was written.');
    return Buffer.from(target.buffer);
  } finally {
    input.dispose();
  }
}
