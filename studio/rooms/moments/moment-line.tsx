import { useEffect, useMemo, useRef, useState } from 'react';
import { shortDayForReaders } from '#core/dates/date-for-readers.ts';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import { precisionOf } from '#core/dates/rough-date.ts';
import type { Id } from '#core/id.ts';
import { lineItemOf } from '#core/moments/line-item-of.ts';
import type { Material } from '#core/materials/material.ts';
import type { Moment } from '#core/parts/moment.ts';
import { lineLayout } from '#core/timeline/line-layout.ts';
import { plural } from '#core/words/plural.ts';
import { MaterialPicture } from '../../ui/material-picture.tsx';
import { PhaseBands } from './phase-bands.tsx';
import type { MomentSteps } from './use-moments.ts';
import { usePinch } from './use-pinch.ts';

/** How wide what hangs on the string is, in px. */
const cardPx = 112;
const startPx = 28;
/** Beyond both edges so much is drawn too, so that nothing is empty while the line is moved. */
const beyondPx = 400;

interface MomentLineProps {
  /** In time. */
  moments: readonly Moment[];
  materials: ReadonlyMap<Id, Material>;
  selected: Id | null;
  onSelect: (id: Id) => void;
  spacing: 'true' | 'even';
  /** How wide a day is, in px. */
  zoom: number;
  onZoom: (zoom: number) => void;
  open: ReadonlySet<number>;
  onFold: (key: number) => void;
  steps: MomentSteps;
}

/** A date where there is little room. */
export const shortDate = (date: string): string =>
  precisionOf(date) === 'day' ? shortDayForReaders(date, 'en', false) : roughDateForReaders(date, 'en');

/** All moments on a string, in true time or evenly. Left and right walk along it; only what is in sight is drawn. */
export function MomentLine({
  moments,
  materials,
  selected,
  onSelect,
  spacing,
  zoom,
  onZoom,
  open,
  onFold,
  steps,
}: MomentLineProps) {
  const box = useRef<HTMLDivElement>(null);
  usePinch(box, zoom, onZoom);
  const walkedTo = useRef<Id | null>(null);
  const [sight, setSight] = useState({ from: 0, to: 2000 });
  const byId = useMemo(() => new Map(moments.map((moment) => [moment.id, moment])), [moments]);
  const laid = useMemo(
    () =>
      lineLayout(moments.map(lineItemOf), {
        spacing,
        px: spacing === 'even' ? Math.max(24, zoom * 9) : zoom,
        ...{ open, rows: 1, labelPx: () => cardPx, labelled: selected },
      }),
    [moments, spacing, zoom, open, selected],
  );
  const xOf = useMemo(() => new Map(laid.knots.map(({ id, x }) => [id, x])), [laid]);
  const look = () => {
    const at = box.current;
    if (at) setSight({ from: at.scrollLeft - beyondPx, to: at.scrollLeft + at.clientWidth + beyondPx });
  };
  useEffect(() => {
    const at = box.current;
    if (!at) return undefined;
    const observer = new ResizeObserver(look);
    observer.observe(at);
    return () => observer.disconnect();
  }, []);
  const bringIntoSight = (id: Id) => {
    const [at, x] = [box.current, xOf.get(id)];
    if (!at || x === undefined) return;
    const left = x + startPx;
    if (left < at.scrollLeft + 60 || left > at.scrollLeft + at.clientWidth - cardPx - 40)
      at.scrollLeft = left - at.clientWidth / 2;
  };
  const go = (to: number) => {
    const moment = moments[Math.min(moments.length - 1, Math.max(0, to))];
    if (!moment) return;
    bringIntoSight(moment.id);
    look();
    walkedTo.current = moment.id;
    onSelect(moment.id);
  };
  // The focus goes along once what was walked to is drawn.
  useEffect(() => {
    if (walkedTo.current === null || walkedTo.current !== selected) return;
    document.getElementById(`knot-${selected}`)?.focus({ preventScroll: true });
    walkedTo.current = null;
  }, [selected, sight]);
  const at = moments.findIndex(({ id }) => id === selected);
  /** Keys may come faster than what is chosen is drawn. */
  const walk = (key: string): number | undefined => {
    const from = walkedTo.current ? moments.findIndex(({ id }) => id === walkedTo.current) : at;
    return { ArrowLeft: from - 1, ArrowRight: from + 1, Home: 0, End: moments.length - 1 }[key];
  };
  const inSight = (x: number) => x >= sight.from && x <= sight.to;
  const bundleOf = new Map(laid.bundles.flatMap((bundle) => bundle.ids.map((id) => [id, bundle] as const)));
  // The bundle of what is selected shows that one.
  const front = (ids: readonly Id[]) => ids.find((id) => id === selected) ?? ids[0] ?? '';
  const carded = new Set(laid.labels.map(({ id }) => bundleOf.get(id)));
  const width = laid.width + startPx + cardPx + 40;
  return (
    <div ref={box} className="moment-line" onScroll={look}>
      <div className="relative h-full" style={{ width }}>
        <PhaseBands {...{ moments, xOf, width, startPx, steps }} />
        <svg className="moment-string" width={width} height="20" aria-hidden="true">
          <line x1="0" x2={width} y1="10" y2="10" />
          {laid.knots
            .filter(({ x, to }) => to - x > cardPx / 4 && inSight(to))
            .map(({ id, x, to }) => (
              <line key={id} className="rough" x1={x + startPx} x2={to + startPx} y1="10" y2="10" />
            ))}
        </svg>
        {laid.folds
          .filter(({ x }) => inSight(x))
          .map(({ key, x, px, days, open: isOpen }) => (
            <button
              key={key}
              type="button"
              className="moment-fold"
              data-open={isOpen || undefined}
              style={{ left: x + startPx, width: px }}
              aria-expanded={isOpen}
              onClick={() => onFold(key)}
            >
              <span aria-hidden="true">{px > 90 ? `${days} quiet days` : `${days} d`}</span>
              <span className="sr-only">{days} quiet days</span>
            </button>
          ))}
        <ol className="contents" aria-label="Moments in time">
          {laid.bundles
            .filter(({ x, ids }) => inSight(x) || ids.includes(selected ?? ''))
            .map((bundle) => {
              const moment = byId.get(front(bundle.ids));
              if (!moment) return null;
              const hasCard = carded.has(bundle);
              const material = materials.get(moment.materials[0] ?? '');
              const others = bundle.ids.length - 1;
              return (
                <li key={bundle.ids[0]} className="contents">
                  <button
                    type="button"
                    id={`knot-${moment.id}`}
                    className="moment-knot"
                    data-card={hasCard || undefined}
                    style={{ left: bundle.x + startPx }}
                    aria-current={moment.id === selected || undefined}
                    tabIndex={moment.id === selected || (at < 0 && bundle === laid.bundles[0]) ? 0 : -1}
                    onClick={() => {
                      // A second press goes on to the next of those that are too close to be told apart.
                      const here = bundle.ids.indexOf(selected ?? '');
                      onSelect(bundle.ids[(here + 1) % bundle.ids.length] ?? moment.id);
                    }}
                    onKeyDown={(event) => {
                      const to = walk(event.key);
                      if (to === undefined) return;
                      event.preventDefault();
                      go(to);
                    }}
                  >
                    <span className="moment-date">{shortDate(moment.date)}</span>
                    <span className="moment-bow" aria-hidden="true">
                      {others > 0 ? bundle.ids.length : ''}
                    </span>
                    {hasCard ? (
                      <span className="moment-card">
                        {material ? (
                          <MaterialPicture material={material} alt="" shows="name" />
                        ) : (
                          <span className="moment-words">{moment.happened || 'No words yet'}</span>
                        )}
                        <span className="moment-name">{moment.title || 'Moment'}</span>
                        {others > 0 && <span className="note">and {plural(others, 'more')}</span>}
                      </span>
                    ) : (
                      <span className="sr-only">
                        {moment.title || 'Moment'}
                        {others > 0 && `, and ${plural(others, 'more')}`}
                      </span>
                    )}
                  </button>
                </li>
              );
            })}
        </ol>
      </div>
    </div>
  );
}
