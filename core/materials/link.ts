import { z } from 'zod';

/**
 * How reading the page went: `read`; `gone`, it answers that it is not there (any more); `closed`, it lets nobody in
 * without a password; `slow`, no answer in time; `unreachable`, no answer at all.
 */
export const linkStates = ['read', 'gone', 'closed', 'slow', 'unreachable'] as const;
export type LinkState = (typeof linkStates)[number];

/** A picture that was fetched along with a page and is kept here, so that readers never fetch it from elsewhere. */
const fetchedPictureSchema = z.object({
  /** SHA-256 of its bytes. */
  hash: z.string().regex(/^[0-9a-f]{64}$/),
  widthPx: z.number().int().positive(),
  heightPx: z.number().int().positive(),
  colour: z.string().regex(/^#[0-9a-f]{6}$/),
});

/** What was read from the page a link leads to. */
export const linkFactsSchema = z.object({
  format: z.literal('link'),
  url: z.url({ protocol: /^https?$/ }).max(2000),
  state: z.enum(linkStates),
  /** What the page says about itself; empty where it says nothing. */
  title: z.string(),
  description: z.string(),
  site: z.string(),
  picture: fetchedPictureSchema.nullable(),
  /** Whether the page lets itself be shown inside another one. */
  framing: z.enum(['allowed', 'refused']),
  /** Where it has moved for good, as it says itself; null: it answers where it is. */
  movedTo: z
    .url({ protocol: /^https?$/ })
    .max(2000)
    .nullable()
    .default(null),
  /** Set when a host says how its clip is played in other pages (oEmbed): the address of the player and its size. */
  player: z
    .object({
      url: z.url({ protocol: /^https?$/ }).max(2000),
      widthPx: z.number().int().positive(),
      heightPx: z.number().int().positive(),
    })
    .nullable(),
  /** When it was read, ISO 8601. */
  readAt: z.iso.datetime(),
});
export type LinkFacts = z.infer<typeof linkFactsSchema>;

/** What the reader's browser fetches from elsewhere when a link is opened in place; null when it can only be followed. */
export function framedBy({
  player,
  framing,
  state,
  url,
}: Pick<LinkFacts, 'player' | 'framing' | 'state' | 'url'>): {
  url: string;
  widthPx: number;
  heightPx: number;
} | null {
  if (player) return player;
  return framing === 'allowed' && state === 'read' ? { url, widthPx: 1200, heightPx: 800 } : null;
}
