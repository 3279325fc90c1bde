import { z } from 'zod';
import { idSchema } from '../id.ts';

/** A way in as the test names it: never by its key. */
export const wayInSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('address') }),
  z.object({ kind: z.literal('site-link') }),
  z.object({ kind: z.literal('page-link'), thing: idSchema, name: z.string() }),
  z.object({ kind: z.literal('pass'), pass: idSchema, name: z.string() }),
]);
export type WayIn = z.infer<typeof wayInSchema>;

/**
 * What somebody without an account meets at a way in: it `opens`; it `asks` for a password; it is `shut`, which looks like what never
 * was; or it is `silent`, nothing answered.
 */
export const metSchema = z.enum(['opens', 'asks', 'shut', 'silent']);
export type Met = z.infer<typeof metSchema>;

/** What was found at one way in. */
export interface TriedWay {
  way: WayIn;
  /** Whether it is meant to be open. */
  meant: 'open' | 'password' | 'shut';
  /** Why it is meant to be shut, where it is. */
  shutBecause?: 'off' | 'not-yet' | 'over' | 'height';
  met: Met;
  /** Pages that its readers are meant to get, and whether they did. */
  pages: { page: string; title: string; opened: boolean }[];
  /** Pages it was made for by name and does not open, and why not. */
  missing: { page: string; title: string; because: 'private' | 'waits' }[];
  /** Addresses asked for, and those of them that did not answer as they should: by path below the way in. */
  asked: number;
  failed: { path: string; on: string; status: number | null }[];
  /** Whether search engines may list what it opens; null where nothing was opened. */
  listed: boolean | null;
  /** Whether they are meant to. */
  mayBeListed: boolean;
  /** More stands there than was asked for. */
  cut: boolean;
}

/** A page that must not be there for strangers, asked for at the address it would have. */
export interface Guessed {
  page: string;
  title: string;
  opened: boolean;
}

/** All that one run found. */
export interface Tried {
  /** The live release; null before the first one. */
  release: number | null;
  ways: TriedWay[];
  guessed: Guessed[];
  /** Links that lead elsewhere, and what was heard of them. */
  outside: { to: string; on: string; answers: 'yes' | 'gone' | 'unknown' }[];
}

/** What can be done about a finding. */
export const repairSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('publish') }),
  z.object({ kind: z.literal('raise'), page: idSchema, title: z.string() }),
  z.object({ kind: z.literal('close'), page: idSchema, title: z.string() }),
  z.object({ kind: z.literal('change-pass'), pass: idSchema, name: z.string() }),
  z.object({ kind: z.literal('open-page'), page: idSchema, title: z.string() }),
  z.object({ kind: z.literal('again') }),
]);
export type Repair = z.infer<typeof repairSchema>;

/** One sentence of what was found: as it should be, wrong, or merely worth knowing. */
export const findingSchema = z.object({
  is: z.enum(['right', 'wrong', 'note']),
  says: z.string(),
  repairs: z.array(repairSchema),
});
export type Finding = z.infer<typeof findingSchema>;

/** Why it was run: its maker asked, something was published, or something is to be handed in. */
export const outsiderWhySchema = z.enum(['asked', 'published', 'hand-in']);
export type OutsiderWhy = z.infer<typeof outsiderWhySchema>;
