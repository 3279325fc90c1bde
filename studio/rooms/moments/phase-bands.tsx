import { useRef, useState } from 'react';
import type { Id } from '#core/id.ts';
import { bandsOf, edgeMoved } from '#core/moments/bands.ts';
import { phaseName } from '#core/moments/phases.ts';
import type { Moment } from '#core/parts/moment.ts';
import { en } from '#core/public-words/en.ts';
import { useSite } from '../../api/site-context.tsx';
import type { MomentSteps } from './use-moments.ts';

interface PhaseBandsProps {
  moments: readonly Moment[];
  xOf: ReadonlyMap<Id, number>;
  width: number;
  startPx: number;
  steps: MomentSteps;
}

/** Phases as bands behind the string; an edge is moved by dragging it or by the arrow keys. */
export function PhaseBands({ moments, xOf, width, startPx, steps }: PhaseBandsProps) {
  const { site } = useSite().state;
  const box = useRef<HTMLDivElement>(null);
  /** The edge that is being dragged, and how far. */
  const [dragged, setDragged] = useState<{ band: number; from: number; by: number } | null>(null);
  const bands = bandsOf(moments);
  const nameOf = (phase: Id | null) => {
    const known = site.phases.find(({ id }) => id === phase);
    return known ? phaseName(known, en.process.phases, 'Phase without a name') : 'No phase';
  };
  const starts = bands.map(({ moments: inside }, n) =>
    n === 0 ? 0 : (xOf.get(inside[0]?.id ?? '') ?? 0) + startPx - 14,
  );
  const firstOf = bands.map((_, n) => bands.slice(0, n).reduce((sum, band) => sum + band.moments.length, 0));
  const move = (band: number, to: number) => {
    const changed = edgeMoved(moments, band, to);
    if (changed.size > 0) steps.setPhases(changed, `Where ${nameOf(bands[band]?.phase ?? null)} begins`);
  };
  /** The place among the moments that is nearest to where the pointer is. */
  const placeAt = (clientX: number): number => {
    const x = clientX - (box.current?.getBoundingClientRect().left ?? 0) - startPx;
    const place = moments.findIndex(({ id }) => (xOf.get(id) ?? 0) > x);
    return place < 0 ? moments.length : place;
  };
  return (
    <div ref={box} className="absolute inset-0">
      {bands.map(({ phase, moments: inside }, n) => {
        const [x, to] = [starts[n] ?? 0, starts[n + 1] ?? width];
        const at = site.phases.findIndex(({ id }) => id === phase);
        const name = nameOf(phase);
        const [first, before] = [firstOf[n] ?? 0, bands[n - 1]];
        return (
          <div
            key={`${n} ${phase}`}
            className="phase-strip"
            data-phase={at < 0 ? 'none' : at % 6}
            style={{ left: x, width: to - x }}
          >
            <span className="phase-name">{name}</span>
            {before && (
              <div
                role="slider"
                tabIndex={0}
                className="phase-edge"
                aria-label={`Where ${name} begins`}
                aria-valuemin={first - before.moments.length + 1}
                aria-valuemax={first + inside.length - 1}
                aria-valuenow={first}
                aria-valuetext={`before ${inside[0]?.title || 'a moment'}`}
                onKeyDown={(event) => {
                  const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
                  if (by === undefined) return;
                  event.preventDefault();
                  move(n, first + by);
                }}
                style={dragged?.band === n ? { translate: `${dragged.by}px 0` } : undefined}
                onPointerDown={(event) => {
                  setDragged({ band: n, from: event.clientX, by: 0 });
                  event.currentTarget.setPointerCapture(event.pointerId);
                }}
                onPointerMove={({ clientX }) => {
                  if (dragged?.band === n) setDragged({ ...dragged, by: clientX - dragged.from });
                }}
                onPointerUp={(event) => {
                  if (dragged?.band === n && dragged.by !== 0) move(n, placeAt(event.clientX));
                  setDragged(null);
                }}
                onPointerCancel={() => setDragged(null)}
              />
            )}
          </div>
        );
      })}
    </div>
  );
}
