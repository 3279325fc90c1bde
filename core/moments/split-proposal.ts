import type { Id } from '../id.ts';
import { type DatedMaterial, type ProposedMoment, timeOf } from './proposed-moments.ts';

const isoDay = (time: number): string => new Date(time).toISOString().slice(0, 10);
const dateOf = (times: readonly number[]): string => {
  const [first, last] = [isoDay(Math.min(...times)), isoDay(Math.max(...times))];
  return first === last ? first : `${first}/${last}`;
};

/**
 * A proposal in two, parted where the longest pause is, of equal ones the first. What looks alike goes with the nearer half.
 *
 * @param known materials by their ids
 * @returns the proposal alone where there is nothing to part
 */
export function splitProposal(
  proposal: ProposedMoment,
  known: ReadonlyMap<Id, Pick<DatedMaterial, 'takenOn'>>,
): ProposedMoment[] {
  const at = (id: Id) => timeOf(known.get(id)?.takenOn ?? '1970-01-01');
  const sorted = [...proposal.materials].sort((a, b) => at(a) - at(b) || (a < b ? -1 : 1));
  if (sorted.length < 2) return [proposal];
  const gaps = sorted.slice(1).map((id, n) => at(id) - at(sorted[n] ?? id));
  const gapMs = Math.max(...gaps);
  const edge = gaps.indexOf(gapMs) + 1;
  const begins = at(sorted[edge] ?? '');
  const half = (materials: Id[], alike: Id[], after: ProposedMoment['after']): ProposedMoment => ({
    ...{ key: materials[0] ?? '', materials, alike, after, joins: proposal.joins },
    date: dateOf([...materials, ...alike].map(at)),
  });
  return [
    half(
      sorted.slice(0, edge),
      proposal.alike.filter((id) => at(id) < begins),
      proposal.after,
    ),
    half(
      sorted.slice(edge),
      proposal.alike.filter((id) => at(id) >= begins),
      { gapMs, why: 'longer' },
    ),
  ];
}
