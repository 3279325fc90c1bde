import { ALL_FORMATS, FilePathSource, Input } from 'mediabunny';
import type { ClipFacts, SoundFacts } from '#core/content/material.ts';
import { Problem } from '../http/problem.ts';

/** Codecs of clips that browsers play without asking anything of the computer (common practice). */
const playable = new Set(['avc', 'vp8', 'vp9', 'av1']);

export type ReadRecording = { kind: 'sound'; facts: SoundFacts } | { kind: 'clip'; facts: ClipFacts };

/**
 * Reads how long a sound or clip is, and how large. A file with moving pictures is a clip, one without is a sound.
 *
 * @throws Problem with a sentence: broken, or of a codec that browsers do not play
 */
export async function readRecording(path: string): Promise<ReadRecording> {
  const input = new Input({ source: new FilePathSource(path), formats: ALL_FORMATS });
  try {
    const seconds = Math.round((await input.computeDuration()) * 1000) / 1000;
    const container = (await input.getFormat()).name.toLowerCase();
    const video = await input.getPrimaryVideoTrack();
    if (video) {
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
    if (!(await input.getPrimaryAudioTrack())) throw new Error('no tracks');
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
