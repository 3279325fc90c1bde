import { z } from 'zod';
import { idSchema } from '../id.ts';
import type { PictureFeatures } from './picture-features.ts';
import { colourDifference, pictureDifference, viewDifference } from './picture-difference.ts';
import { pictureWarnings, warnings } from './picture-quality.ts';
import type { Size } from './fixed-frame.ts';
import { variedPicks } from './varied-picks.ts';

/** A picture that may hang in a gallery. */
export interface Candidate {
  id: string;
  size: Size;
  /** Null when they could not be read: it can be chosen by hand and is never proposed. */
  features: PictureFeatures | null;
  takenOn: string | null;
  tags: readonly string[];
}

/** Why a picture is proposed. */
const reasonSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('best-of-alike'), of: z.number().int() }),
  z.object({ kind: z.literal('only-tag'), tag: z.string() }),
  z.object({ kind: z.enum(['earliest', 'latest', 'other-view', 'other-colours', 'sharpest']) }),
]);
export type Reason = z.infer<typeof reasonSchema>;

/** Why a picture is not proposed. */
const noteSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.enum(['alike', 'close']), to: idSchema }),
  z.object({ kind: z.literal('warning'), warning: z.enum(warnings) }),
  /** It looks like a picture that opens the page. */
  z.object({ kind: z.literal('opens') }),
]);
export type Note = z.infer<typeof noteSchema>;

export const contactSheetSchema = z.object({
  /** Look-alikes among the candidates, in the candidates' order. */
  groups: z.array(z.array(idSchema)),
  picks: z.array(z.object({ id: idSchema, reason: reasonSchema })),
  notes: z.record(z.string(), noteSchema),
});
export type ContactSheet = z.infer<typeof contactSheetSchema>;

/** What is wrong with a picture makes it count for this much less (our choice). */
const warned = 0.45;

/** How good a picture is to show, more than 0 and at most 1: its sharpness, less whatever is wrong with it. */
export function pictureQuality(features: PictureFeatures, size: Size): number {
  const warnings = pictureWarnings(size, features);
  return Math.max(0.01, (1 - features.blur) * warned ** warnings.length);
}

type Read = Candidate & { features: PictureFeatures };

function reasonFor(
  pick: Read,
  picks: readonly Read[],
  group: readonly string[] | undefined,
  all: readonly Read[],
): Reason {
  if (group) return { kind: 'best-of-alike', of: group.length };
  const tag = pick.tags.find((one) => all.every((other) => other === pick || !other.tags.includes(one)));
  if (tag !== undefined) return { kind: 'only-tag', tag };
  const dates = picks.flatMap(({ takenOn }) => takenOn ?? []).sort();
  const [first, last] = [dates[0], dates.at(-1)];
  const alone = (date: string | undefined) =>
    date !== undefined && first !== last && dates.filter((one) => one === date).length === 1;
  if (pick.takenOn === first && alone(first)) return { kind: 'earliest' };
  if (pick.takenOn === last && alone(last)) return { kind: 'latest' };
  const others = picks.filter((other) => other !== pick);
  if (others.length === 0) return { kind: 'sharpest' };
  const nearest = (difference: typeof viewDifference, among: readonly Read[], of: Read) =>
    Math.min(
      ...among.filter((other) => other !== of).map((other) => difference(of.features, other.features)),
    );
  // By which of the two it stands out more among those chosen with it.
  const standsOut = (difference: typeof viewDifference) => {
    const values = picks.map((one) => nearest(difference, picks, one));
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    return mean > 0 ? nearest(difference, picks, pick) / mean : 0;
  };
  return { kind: standsOut(viewDifference) >= standsOut(colourDifference) ? 'other-view' : 'other-colours' };
}

/** Two pictures less different than this show much the same, if not in the same way (our choice). */
const closeBelow = 0.16;

/**
 * Proposes a varied set: of look-alikes only the best, and of these the set whose members differ most, weighted by how
 * good they are. Says why for each, and for those left out why not.
 *
 * @param groups look-alikes of the maker's pictures, as `lookAlikes` gives them
 * @param size how many are wanted
 * @param opening pictures that stand at the top of the page already: what looks like one of them is not proposed
 */
export function contactSheet(
  candidates: readonly Candidate[],
  groups: readonly (readonly string[])[],
  size: number,
  opening: readonly string[] = [],
): ContactSheet {
  const here = new Set(candidates.map(({ id }) => id));
  const order = new Map(candidates.map(({ id }, at) => [id, at]));
  const alike = groups
    .map((group) =>
      group.filter((id) => here.has(id)).sort((a, b) => (order.get(a) ?? 0) - (order.get(b) ?? 0)),
    )
    .filter((group) => group.length > 1);
  const groupOf = new Map(alike.flatMap((group) => group.map((id): [string, string[]] => [id, group])));
  const read = candidates.filter((one): one is Read => one.features !== null);
  const quality = new Map(read.map((one) => [one.id, pictureQuality(one.features, one.size)]));
  const bestOf = (group: readonly string[]) =>
    group.reduce((best, id) => ((quality.get(id) ?? 0) > (quality.get(best) ?? 0) ? id : best));

  const opens = new Set(opening);
  const likeOpening = new Set(
    groups.filter((group) => group.some((id) => opens.has(id))).flatMap((group) => group),
  );
  const distinct = read.filter(({ id }) => {
    const group = groupOf.get(id);
    return !likeOpening.has(id) && (!group || bestOf(group) === id);
  });
  // A blurred picture is unlike all others, and still nobody's choice while there are enough sound ones.
  const sound = distinct.filter(({ size: shown, features }) => pictureWarnings(shown, features).length === 0);
  const eligible = sound.length >= size ? sound : distinct;
  const things = eligible.map(({ id }) => ({ quality: quality.get(id) ?? 0 }));
  const difference = (a: number, b: number) => {
    const [one, other] = [eligible[a], eligible[b]];
    return one && other ? pictureDifference(one.features, other.features) : 0;
  };
  const picks = variedPicks(things, size, difference).flatMap((at) => eligible[at] ?? []);

  const notes: Record<string, Note> = {};
  const picked = new Set(picks.map(({ id }) => id));
  for (const one of read) {
    if (picked.has(one.id)) continue;
    const group = groupOf.get(one.id);
    const [warning] = pictureWarnings(one.size, one.features);
    if (likeOpening.has(one.id)) notes[one.id] = { kind: 'opens' };
    else if (warning) notes[one.id] = { kind: 'warning', warning };
    else if (group && bestOf(group) !== one.id) notes[one.id] = { kind: 'alike', to: bestOf(group) };
    else {
      const near = picks
        .map((pick) => ({ id: pick.id, by: pictureDifference(pick.features, one.features) }))
        .sort((a, b) => a.by - b.by)[0];
      if (near && near.by < closeBelow) notes[one.id] = { kind: 'close', to: near.id };
    }
  }
  return {
    groups: alike,
    picks: picks.map((pick) => ({ id: pick.id, reason: reasonFor(pick, picks, groupOf.get(pick.id), read) })),
    notes,
  };
}
