import type { Id } from '../id.ts';
import { daysOfDate } from '../dates/rough-date.ts';
import { type Break, timeClusters } from './time-clusters.ts';

/** A material as far as it is looked at for moments. */
export interface DatedMaterial {
  id: Id;
  /** See `partialDateSchema`: a day, with a time where the camera said one; only a month or year says too little. */
  takenOn: string | null;
}

/** A moment that is there already. */
export interface KnownMoment {
  id: Id;
  /** See `roughDateSchema`. */
  date: string;
  materials: readonly Id[];
}

/** Materials that were made together, for a moment of their own or for one that is there. */
export interface ProposedMoment {
  /** Names the proposal as long as its first material is in it. */
  key: Id;
  /** A day, or between two; see `roughDateSchema`. */
  date: string;
  /** All that was made together, in time. */
  materials: Id[];
  /** Of those that look alike the first of each group is in `materials` too, the others are here. */
  alike: Id[];
  /** The one moment of that day, where there is one. */
  joins: Id | null;
  /** What parts it from the proposal before. */
  after: Break | null;
}

const dayMs = 24 * 60 * 60 * 1000;
/** A time of the camera's own clock, which has no zone, as if it were of UTC: only differences count. A day alone is its noon. */
export const timeOf = (takenOn: string): number =>
  Date.parse(takenOn.length === 10 ? `${takenOn}T12:00:00Z` : `${takenOn}Z`);
const dayOf = (time: number): string => new Date(time).toISOString().slice(0, 10);

/**
 * Moments found in dated materials: what lies close in time is one (`timeClusters`), of what looks alike the first counts, and what
 * belongs to the only moment of its days is proposed to join that. What is in a moment already, or was said to be none, is left out.
 *
 * @param alike groups of look-alikes, best first (`lookAlikes`)
 * @param refused materials that were said to be no moment
 */
export function proposedMoments(
  materials: readonly DatedMaterial[],
  moments: readonly KnownMoment[],
  alike: readonly (readonly Id[])[],
  refused: ReadonlySet<Id>,
): ProposedMoment[] {
  const used = new Set(moments.flatMap((moment) => moment.materials));
  /** The best of those that look like it was taken into a moment of that day. */
  const isTold = (id: Id, day: string) =>
    alike.some(
      (group) =>
        group.includes(id) &&
        moments.some(({ date, materials: own }) => {
          const days = daysOfDate(date);
          return days.first <= day && day <= days.last && own.some((one) => group.includes(one));
        }),
    );
  const times = materials.flatMap(({ id, takenOn }) =>
    takenOn !== null &&
    takenOn.length >= 10 &&
    !used.has(id) &&
    !refused.has(id) &&
    !isTold(id, takenOn.slice(0, 10))
      ? [{ id, at: timeOf(takenOn) }]
      : [],
  );
  const groupOf = new Map(alike.flatMap((group, n) => group.map((id, rank) => [id, { n, rank }] as const)));
  return timeClusters(times).map(({ ids, from, to, after }) => {
    const best = new Map<number, Id>();
    for (const id of ids) {
      const group = groupOf.get(id);
      const known = group && best.get(group.n);
      if (group && (known === undefined || group.rank < (groupOf.get(known)?.rank ?? 0)))
        best.set(group.n, id);
    }
    const stays = (id: Id) => {
      const group = groupOf.get(id);
      return !group || best.get(group.n) === id;
    };
    const [first, last] = [dayOf(from), dayOf(to)];
    const there = moments.filter(({ date }) => {
      const days = daysOfDate(date);
      // A date known only roughly is no place to join to.
      const isRough = Date.parse(days.last) - Date.parse(days.first) > 7 * dayMs;
      return !isRough && days.first <= last && days.last >= first;
    });
    return {
      key: ids[0] ?? '',
      date: first === last ? first : `${first}/${last}`,
      materials: ids.filter(stays),
      alike: ids.filter((id) => !stays(id)),
      joins: there.length === 1 ? (there[0]?.id ?? null) : null,
      after,
    };
  });
}

/** Two proposals that are one. */
export const joinedProposals = (a: ProposedMoment, b: ProposedMoment): ProposedMoment => {
  const [first, second] = a.date <= b.date ? [a, b] : [b, a];
  const [from, to] = [
    daysOfDate(first.date).first,
    [daysOfDate(a.date).last, daysOfDate(b.date).last].sort()[1] ?? '',
  ];
  return {
    ...first,
    date: from === to ? from : `${from}/${to}`,
    materials: [...first.materials, ...second.materials],
    alike: [...first.alike, ...second.alike],
    joins: first.joins === second.joins ? first.joins : null,
  };
};
