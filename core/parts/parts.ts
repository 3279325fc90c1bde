import { z } from 'zod';
import { agenda } from './agenda.ts';
import { availability } from './availability.ts';
import { clip } from './clip.ts';
import { compare } from './compare.ts';
import { contact } from './contact.ts';
import { credits } from './credits.ts';
import { decisions } from './decisions.ts';
import { document } from './document.ts';
import { earlyLate } from './early-late.ts';
import { entry } from './entry.ts';
import { evidence } from './evidence.ts';
import { gallery } from './gallery.ts';
import { languages } from './languages.ts';
import { link } from './link.ts';
import { moment } from './moment.ts';
import type { PartBase } from './part-base.ts';
import type { PartRules } from './part-rules.ts';
import { personLine } from './person-line.ts';
import { picture } from './picture.ts';
import { place } from './place.ts';
import { portrait } from './portrait.ts';
import { process } from './process.ts';
import { profiles } from './profiles.ts';
import { quote } from './quote.ts';
import { reflection } from './reflection.ts';
import { sound } from './sound.ts';
import { table } from './table.ts';
import { telling } from './telling.ts';
import { version } from './version.ts';
import { words } from './words.ts';

/** Every kind of part there is. */
export const partKinds = {
  words,
  picture,
  gallery,
  document,
  sound,
  clip,
  link,
  quote,
  compare,
  'early-late': earlyLate,
  evidence,
  reflection,
  credits,
  contact,
  table,
  portrait,
  'full-name': {
    ...personLine('full-name', 'full name', 120),
    startsAt: 'invited' as const,
    mostUnderAge: () => 'invited' as const,
  },
  headline: personLine('headline', 'headline', 90),
  pronouns: personLine('pronouns', 'pronouns', 40),
  place,
  availability,
  languages,
  profiles,
  telling,
  version,
  entry,
  process,
  decisions,
  agenda,
  moment,
};
type Kinds = typeof partKinds;
export type PartKind = keyof Kinds;
type RulesParts<R> = R extends PartRules<infer P, infer Seen> ? { part: P; seen: Seen } : never;

/** A part of one kind as its maker has it. */
export type PartOf<K extends PartKind> = RulesParts<Kinds[K]>['part'];
/** One piece of a page. Captions and alt text belong to the material, not to the place. */
export type Part = { [K in PartKind]: PartOf<K> }[PartKind];
/**
 * A part of one kind as a reader gets it: its height is nobody's business, and neither is what its maker was asked, by a
 * starter or by the questions behind a reflection.
 */
export type SeenPartOf<K extends PartKind> = Pick<PartBase, 'id' | 'beside' | 'ground'> & {
  kind: K;
} & RulesParts<Kinds[K]>['seen'];
export type SeenPart = { [K in PartKind]: SeenPartOf<K> }[PartKind];

/** Whether a kind is known here; data of a newer version may hold kinds that are not. */
export const isKnownPart = ({ kind }: { kind: string }): boolean => Object.hasOwn(partKinds, kind);

/** The rules for a part, whatever its kind. Which rules go with which part is checked where each kind states them. */
export const rulesOf = ({ kind }: { kind: PartKind }) =>
  partKinds[kind] as unknown as PartRules<Part, SeenPart | object>;

type PartSchema = Kinds[PartKind]['schema'];
export const partSchema = z.discriminatedUnion(
  'kind',
  Object.values(partKinds).map(({ schema }): PartSchema => schema) as [PartSchema, ...PartSchema[]],
);

/** So many parts stand on a page. */
export const mostParts = 200;
/** So many moments are kept on one. */
export const mostMoments = 2000;

const isMoment = ({ kind }: Part): boolean => kind === 'moment';
export const partsSchema = z
  .array(partSchema)
  .refine(
    (parts) => parts.filter((part) => !isMoment(part)).length <= mostParts,
    `A page holds at most ${mostParts} parts. Start another page for the rest.`,
  )
  .refine(
    (parts) => parts.filter(isMoment).length <= mostMoments,
    `A page keeps at most ${mostMoments} moments. Keep the rest on another page.`,
  )
  .refine((parts) => new Set(parts.map((part) => part.id)).size === parts.length, 'Two parts share one id.');
