import { z } from 'zod';

/** Heads, hair and the rest that a portrait can be cut from. */
export const heads = ['round', 'long', 'square'] as const;
export const hairs = ['short', 'long', 'bun', 'curls', 'cap', 'scarf', 'none'] as const;
export const mouths = ['line', 'smile'] as const;
export const backs = ['strong', 'quiet', 'paper'] as const;

/** What somebody chose for a portrait of cut paper. It has the colours of the look it is shown in. */
export const drawnPortraitSchema = z.object({
  head: z.enum(heads),
  hair: z.enum(hairs),
  glasses: z.boolean(),
  mouth: z.enum(mouths),
  back: z.enum(backs),
});
export type DrawnPortraitChoice = z.infer<typeof drawnPortraitSchema>;

export const firstDrawnPortrait: DrawnPortraitChoice = {
  head: 'round',
  hair: 'bun',
  glasses: true,
  mouth: 'smile',
  back: 'quiet',
};
