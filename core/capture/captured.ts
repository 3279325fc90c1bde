import { z } from 'zod';
import { idSchema } from '../id.ts';
import { line } from '../words/line.ts';

/** In which field of a moment captured words go. */
export const capturedWordsKinds = ['happened', 'decided', 'turnedDown', 'next'] as const;
export type CapturedWordsKind = (typeof capturedWordsKinds)[number];

/** So many characters are written on the device at once at most. */
export const mostCapturedWords = 2000;

/**
 * One thing that was kept on a device while the work went on, as it is sent. Its id and that of its moment are made up on the
 * device, so that a thing whose answer was lost on the way can be sent again and is still there once only.
 */
export const capturedSchema = z.object({
  id: idSchema,
  /** What was kept within twenty minutes has the same one; see `runningCapture`. */
  capture: idSchema,
  /** The day it was where the device is, as ISO 8601 writes it. */
  day: z.iso.date(),
  what: z.discriminatedUnion('kind', [
    /** A file that has been sent before. */
    z.object({ kind: z.literal('material'), material: idSchema }),
    z.object({
      kind: z.literal('words'),
      as: z.enum(capturedWordsKinds),
      words: line(mostCapturedWords).min(1),
    }),
  ]),
});
export type Captured = z.infer<typeof capturedSchema>;
