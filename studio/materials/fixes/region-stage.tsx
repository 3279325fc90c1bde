import { type PointerEvent, type ReactNode, useRef } from 'react';
import type { Region } from '#core/materials/fixes.ts';
import { type Handle, movedRegion, pulledRegion, regionBetween } from '#core/gallery/region.ts';
import './region-stage.css';

interface RegionStageProps {
  regions: readonly Region[];
  selected: number | null;
  /** What a region is: kept, with everything around it dimmed, or covered. */
  kind: 'crop' | 'black-out';
  /** Proportion a pulled region keeps, as width divided by height, both as shares; null when it is free. */
  ratio?: number | null;
  /** Dragging on an empty place makes a region. */
  mayDraw?: boolean;
  onSelect?: (at: number) => void;
  /** While something is dragged. */
  onLive: (regions: Region[]) => void;
  /** When it is let go. */
  onDone: (regions: Region[]) => void;
  children: ReactNode;
}

const handles: (Handle & { name: string })[] = [
  { name: 'nw', across: -1, down: -1 },
  { name: 'n', across: 0, down: -1 },
  { name: 'ne', across: 1, down: -1 },
  { name: 'e', across: 1, down: 0 },
  { name: 'se', across: 1, down: 1 },
  { name: 's', across: 0, down: 1 },
  { name: 'sw', across: -1, down: 1 },
  { name: 'w', across: -1, down: 0 },
];
/** A drag shorter than this, as a share, was a click. */
const leastDrawn = 0.01;

/**
 * Rectangles on a picture, drawn, moved and pulled with mouse, pen or finger. The keyboard's way is the number fields
 * beside the stage, which say the same in words.
 */
export function RegionStage(props: RegionStageProps) {
  const {
    regions,
    selected,
    kind,
    ratio = null,
    mayDraw = false,
    onSelect,
    onLive,
    onDone,
    children,
  } = props;
  const stage = useRef<HTMLDivElement>(null);
  const shareAt = (event: PointerEvent) => {
    const box = stage.current?.getBoundingClientRect();
    return box
      ? { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height }
      : { x: 0, y: 0 };
  };

  /** Follows the pointer from where it went down; `next` tells the regions for how far it has come. */
  const follow = (down: PointerEvent, next: (dx: number, dy: number) => Region[] | null) => {
    if (down.button !== 0) return;
    down.preventDefault();
    down.stopPropagation();
    const from = shareAt(down);
    const target = down.currentTarget as HTMLElement;
    target.setPointerCapture(down.pointerId);
    let last: Region[] | null = null;
    const onMove = (event: globalThis.PointerEvent) => {
      const at = shareAt(event as unknown as PointerEvent);
      last = next(at.x - from.x, at.y - from.y);
      if (last) onLive(last);
    };
    const onUp = () => {
      target.removeEventListener('pointermove', onMove);
      target.removeEventListener('pointerup', onUp);
      target.removeEventListener('pointercancel', onUp);
      if (last) onDone(last);
    };
    target.addEventListener('pointermove', onMove);
    target.addEventListener('pointerup', onUp);
    target.addEventListener('pointercancel', onUp);
  };
  const replaced = (at: number, region: Region) => regions.map((one, place) => (place === at ? region : one));

  return (
    <div
      ref={stage}
      className="region-stage"
      data-draw={mayDraw || undefined}
      onPointerDown={(event) => {
        if (!mayDraw) return;
        const from = shareAt(event);
        follow(event, (dx, dy) => {
          const drawn = regionBetween(from, { x: from.x + dx, y: from.y + dy });
          return drawn.width < leastDrawn || drawn.height < leastDrawn ? null : [...regions, drawn];
        });
      }}
    >
      {children}
      {regions.map((region, at) => (
        <div
          key={at}
          className={`region ${kind}`}
          data-selected={at === selected || undefined}
          style={{
            left: `${region.x * 100}%`,
            top: `${region.y * 100}%`,
            width: `${region.width * 100}%`,
            height: `${region.height * 100}%`,
          }}
          onPointerDown={(event) => {
            onSelect?.(at);
            follow(event, (dx, dy) => replaced(at, movedRegion(region, dx, dy)));
          }}
        >
          {(kind === 'crop' || at === selected) &&
            handles.map((handle) => (
              <i
                key={handle.name}
                className={`handle ${handle.name}`}
                onPointerDown={(event) =>
                  follow(event, (dx, dy) => replaced(at, pulledRegion(region, handle, dx, dy, ratio)))
                }
              />
            ))}
        </div>
      ))}
    </div>
  );
}
