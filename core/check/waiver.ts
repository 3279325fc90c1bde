import { z } from 'zod';
import { line } from '../words/line.ts';

/** A finding its maker has looked at and lets stand, with why. It counts as long as what the finding speaks of stays the same. */
export const waiverSchema = z.object({
  key: z.string().min(1).max(200),
  of: z.string().regex(/^[0-9a-f]{16}$/),
  reason: line(300),
});
export type Waiver = z.infer<typeof waiverSchema>;
type Told = Pick<Waiver, 'key' | 'of'>;

/** A site has at most so many: the oldest give way. */
export const mostWaivers = 2000;

/** Why its maker lets it stand; null where they have not said so, or have said it of something else. */
export const waivedBecause = (waivers: readonly Waiver[], { key, of }: Told): string | null =>
  waivers.find((one) => one.key === key && one.of === of)?.reason ?? null;

/** With a finding let stand. */
export const withWaiver = (waivers: readonly Waiver[], { key, of }: Told, reason: string): Waiver[] =>
  [...waivers.filter((one) => one.key !== key), { key, of, reason: reason.trim() }].slice(-mostWaivers);

/** Without: it is told again. */
export const withoutWaiver = (waivers: readonly Waiver[], { key }: Pick<Told, 'key'>): Waiver[] =>
  waivers.filter((one) => one.key !== key);
