import { linkHorizontal } from 'd3-shape';
import { type EvidenceMap, keyOfProof } from '#core/resume/evidence-map/evidence-map.ts';
import type { ProposedProof } from '#core/resume/evidence-map/proposed-proofs.ts';
import type { Knot } from './use-knots.ts';

const curve = linkHorizontal<{ source: Knot; target: Knot }, Knot>()
  .x(({ x }) => x)
  .y(({ y }) => y);

/** The strings from skills to what proves them. The table beside it says the same in words. */
export function Strings({
  map,
  knots,
  selected,
  proposals,
}: {
  map: EvidenceMap;
  knots: ReadonlyMap<string, Knot>;
  selected: string | null;
  proposals: readonly ProposedProof[];
}) {
  const between = (from: string, to: string): string | null => {
    const [source, target] = [knots.get(from), knots.get(to)];
    return source && target ? curve({ source, target }) : null;
  };
  return (
    <svg className="evidence-strings" aria-hidden="true">
      {map.rows.flatMap(({ entry, proofs }) =>
        proofs.map(({ proof, kind, opens }) => {
          const path = between(`skill ${entry.id}`, `proof ${keyOfProof(proof)}`);
          const key = `${entry.id} ${keyOfProof(proof)}`;
          return path ? (
            <path
              key={key}
              d={path}
              data-kind={opens ? kind : 'low'}
              data-on={entry.id === selected || undefined}
            />
          ) : null;
        }),
      )}
      {map.rows.map(({ entry, proofs }) => {
        const knot = knots.get(`skill ${entry.id}`);
        // A claim that nothing proves hangs loose.
        return knot && proofs.length === 0 ? (
          <path
            key={entry.id}
            data-kind="loose"
            d={`M${knot.x},${knot.y}q16,0 18,11t8,13m0,0l1,6m-1,-6l5,4`}
          />
        ) : null;
      })}
      {proposals.map(({ proof }) => {
        const path = selected && between(`skill ${selected}`, `proof ${keyOfProof(proof)}`);
        return path ? <path key={keyOfProof(proof)} d={path} data-kind="proposed" /> : null;
      })}
    </svg>
  );
}
