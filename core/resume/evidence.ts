import type { PartOf } from '../parts/parts.ts';
import type { Proof } from './proof.ts';

/**
 * How well something on a résumé is shown to those who read it: by several things, by one, by something that they cannot open, or not at
 * all.
 */
export type Verdict = 'shown' | 'thin' | 'out-of-reach' | 'claimed';

/** What proves an entry: its own page, what proves it as a whole, and what proves its lines; each once. */
export function proofsOf({
  page,
  proofs,
  lines,
}: Pick<PartOf<'entry'>, 'page' | 'proofs' | 'lines'>): Proof[] {
  const all = [
    ...(page === null ? [] : [{ page, part: null }]),
    ...proofs,
    ...lines.flatMap(({ proof }) => proof ?? []),
  ];
  return [...new Map(all.map((proof) => [`${proof.page} ${proof.part ?? ''}`, proof])).values()];
}

/** @param opens whether readers of the version can open what proves something */
export function verdictOf(
  entry: Pick<PartOf<'entry'>, 'page' | 'proofs' | 'lines'>,
  opens: (proof: Proof) => boolean,
): Verdict {
  const all = proofsOf(entry);
  const open = all.filter(opens);
  if (all.length === 0) return 'claimed';
  if (open.length === 0) return 'out-of-reach';
  // A page of its own is the work itself.
  const isWork = open.some(({ page, part }) => page === entry.page && part === null);
  return open.length > 1 || isWork ? 'shown' : 'thin';
}
