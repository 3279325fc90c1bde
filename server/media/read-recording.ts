import type { InputTrack } from 'mediabunny';
import type { ClipFacts, SoundFacts } from '#core/materials/material.ts';
import { Problem } from '../http/problem.ts';

/** Codecs of clips that browsers play without asking anything of the computer (common practice). */
const playable = new Set(['avc', 'vp8', 'vp9', 'av1']);

export type ReadRecording = { kind: 'sound'; facts: SoundFacts } | { kind: 'clip'; facts: ClipFacts };

/**
 * A file whose index stands at its front tells of all of it, even when only half of it has arrived; so its end is looked for.
 *
 * @throws Problem when it is not there
 */
async function expectItsEnd(track: InputTrack): Promise<void> {
  const { EncodedPacketSink } = await import('mediabunny');
  const last = await new EncodedPacketSink(track).getPacket(await track.computeDuration());
  if (!last)
    throw new Problem(
      422,
      'half',
      'Only the first part of this recording is here: what it says of its length goes on after the end of the file. Copy it from where it was made again.',
    );
}

/**
 * Reads how long a sound or clip is, and how large. A file with moving pictures is a clip, one without is a sound.
 *
 * @throws Problem with a sentence: broken, or of a codec that browsers do not play
 */
export async function readRecording(path: string): Promise<ReadRecording> {
  // Loaded when there is a recording: most of what is brought is pictures, and a process that reads them starts sooner.
  const { ALL_FORMATS, FilePathSource, Input } = await import('mediabunny');
  const input = new Input({ source: new FilePathSource(path), formats: ALL_FORMATS });
  try {
    const seconds = Math.round((await input.computeDuration()) * 1000) / 1000;
    const container = (await input.getFormat()).name.toLowerCase();
    const video = await input.getPrimaryVideoTrack();
    if (video) {
      await expectItsEnd(video);
      if (!video.codec || !playable.has(video.codec))
        throw new Problem(
          415,
          'codec',
          `This clip is in ${(video.codec ?? 'a codec nobody knows').toUpperCase()}, which many browsers cannot play. Export it as MP4 with H.264 and add it again.`,
        );
      return {
        kind: 'clip',
        facts: {
          format: container === 'webm' ? 'webm' : 'mp4',
          seconds,
          widthPx: video.displayWidth,
          heightPx: video.displayHeight,
        },
      };
    }
    const sound = await input.getPrimaryAudioTrack();
    if (!sound) throw new Error('no tracks');
    await expectItsEnd(sound);
    const formats: Record<string, SoundFacts['format']> = {
      mp3: 'mp3',
      mp4: 'm4a',
      ogg: 'ogg',
      webm: 'webm',
    };
    return { kind: 'sound', facts: { format: formats[container] ?? 'wav', seconds } };
  } catch (error) {
    if (error instanceof Problem) throw error;
    throw new Problem(
      422,
      'broken',
      'This recording is broken or was cut off on the way, so it cannot be played. Copy it from where it was made again.',
    );
  } finally {
    input.dispose();
  }
}
