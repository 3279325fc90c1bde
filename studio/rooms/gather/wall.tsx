import { DndContext, PointerSensor, pointerWithin, useSensor, useSensors } from '@dnd-kit/core';
import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import type { MaterialGroup } from '#core/materials/group-materials.ts';
import type { Material } from '#core/materials/material.ts';
import { GroupHead } from './group-head.tsx';
import { Tile, type TileProps } from './tile.tsx';
import { type WallLine, wallLines } from './wall-lines.ts';

/** From how far on a press is a pull. Always the same: with another one, all that can be pulled would be drawn anew. */
const pulled = { activationConstraint: { distance: 8 } };

/** With fewer lines all of them are drawn: then the browser's own search and a screen reader have the whole wall. */
const drawnWhole = 60;

interface WallProps {
  groups: readonly MaterialGroup[];
  view: 'tiles' | 'list';
  chosen: readonly string[];
  used: ReadonlySet<string>;
  /** Groups are projects, which take what is dropped on them. */
  takesDrops: boolean;
  tileOf: (material: Material) => Pick<TileProps, 'alike' | 'warnings' | 'current'>;
  onChosen: (ids: readonly string[]) => void;
  onLook: (id: string) => void;
  onDelete: () => void;
  /** Materials were dropped on a project; null is none. */
  onMove: (ids: readonly string[], project: string | null) => void;
}

/** Everything gathered, in groups: with thousands of materials only the lines in sight are drawn. */
export function Wall(props: WallProps) {
  const { groups, view, chosen, used, takesDrops, tileOf, onChosen, onLook, onDelete, onMove } = props;
  const wall = useRef<HTMLDivElement>(null);
  const [widthPx, setWidthPx] = useState(1000);
  const [topPx, setTopPx] = useState(0);
  const [renaming, setRenaming] = useState<string | null>(null);
  const [wanted, setWanted] = useState<string | null>(null);
  const anchor = useRef<string | null>(null);
  useEffect(() => {
    const element = wall.current;
    if (!element) return;
    const measure = () => {
      setWidthPx(element.clientWidth);
      const scroller = element.closest('.room');
      if (scroller)
        setTopPx(
          element.getBoundingClientRect().top - scroller.getBoundingClientRect().top + scroller.scrollTop,
        );
    };
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);

  const lines = useMemo(() => wallLines(groups, widthPx, view), [groups, view, widthPx]);
  const order = useMemo(() => groups.flatMap(({ materials }) => materials.map(({ id }) => id)), [groups]);
  const numbers = useMemo(() => new Map(order.map((id, at) => [id, at + 1])), [order]);
  const places = useMemo(() => new Map(chosen.map((id, at) => [id, at + 1])), [chosen]);
  const whole = lines.length <= drawnWhole;
  // eslint-disable-next-line react-hooks/incompatible-library -- this component is small and may draw as often as it likes
  const virtual = useVirtualizer({
    count: lines.length,
    enabled: !whole,
    getScrollElement: () => wall.current?.closest('.room') ?? null,
    estimateSize: (at) => lines[at]?.heightPx ?? 0,
    getItemKey: (at) => lines[at]?.key ?? at,
    scrollMargin: topPx,
    overscan: 4,
  });

  // A tile that has to be focused may have to be scrolled to and drawn first: looked for after every drawing.
  const scrolledTo = useRef<string | null>(null);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- each wish ends by being granted or given up
  useEffect(() => {
    if (wanted === null) return;
    const tile = wall.current?.querySelector<HTMLElement>(`[data-material="${wanted}"]`);
    if (tile) {
      tile.focus();
      scrolledTo.current = null;
      setWanted(null);
    } else {
      const at = lines.findIndex(
        (line) => line.kind === 'row' && line.materials.some(({ id }) => id === wanted),
      );
      if (at < 0) setWanted(null);
      else if (scrolledTo.current !== wanted) {
        scrolledTo.current = wanted;
        virtual.scrollToIndex(at);
      }
    }
  });

  const range = (from: string, to: string): string[] => {
    const [first, last] = [order.indexOf(from), order.indexOf(to)].sort((a, b) => a - b);
    return order.slice(first, (last ?? 0) + 1);
  };
  const toggle = (id: string, extend: boolean) => {
    if (extend && anchor.current) onChosen([...new Set([...chosen, ...range(anchor.current, id)])]);
    else onChosen(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id]);
    anchor.current = id;
  };
  /** The tile above or below: in the next row, the one whose middle is nearest. */
  const beside = (id: string, by: 1 | -1): string | undefined => {
    const rows = lines.filter((line): line is Extract<WallLine, { kind: 'row' }> => line.kind === 'row');
    const at = rows.findIndex(({ materials }) => materials.some((one) => one.id === id));
    const here = rows[at]?.materials;
    const there = rows[at + by]?.materials;
    if (!here || !there) return undefined;
    const share = (here.findIndex((one) => one.id === id) + 0.5) / here.length;
    return there[Math.min(there.length - 1, Math.floor(share * there.length))]?.id;
  };
  const onKey = (event: KeyboardEvent) => {
    const id = (event.target as HTMLElement).dataset['material'];
    if (id === undefined) return;
    const at = order.indexOf(id);
    const to = {
      ArrowLeft: order[at - 1],
      ArrowRight: order[at + 1],
      ArrowUp: beside(id, -1),
      ArrowDown: beside(id, 1),
      Home: order[0],
      End: order.at(-1),
    }[event.key];
    if (to !== undefined) {
      if (event.shiftKey) {
        anchor.current ??= id;
        onChosen([...new Set([...chosen, ...range(anchor.current, to)])]);
      } else anchor.current = null;
      setWanted(to);
    } else if (event.key === ' ') toggle(id, event.shiftKey);
    else if (event.key === 'F2') setRenaming(id);
    else if (event.key === 'Delete' && chosen.length > 0) onDelete();
    else if (event.key === 'Escape' && chosen.length > 0) onChosen([]);
    else if (event.key.toLowerCase() === 'a' && (event.ctrlKey || event.metaKey)) onChosen(order);
    else return;
    event.preventDefault();
  };

  const sensors = useSensors(useSensor(PointerSensor, pulled));
  const draw = (line: WallLine) =>
    line.kind === 'head' ? (
      <GroupHead
        group={line.group}
        inUse={line.group.materials.filter(({ id }) => used.has(id)).length}
        takes={takesDrops}
        onChooseAll={() => onChosen([...new Set([...chosen, ...line.group.materials.map(({ id }) => id)])])}
      />
    ) : (
      <ul className="tiles flex flex-wrap gap-2.5" aria-label={line.group.title}>
        {line.materials.map((material) => (
          <Tile
            key={material.id}
            {...tileOf(material)}
            material={material}
            view={view}
            number={numbers.get(material.id) ?? 0}
            chosenAs={places.get(material.id) ?? 0}
            used={used.has(material.id)}
            renaming={renaming === material.id}
            onToggle={(extend) => toggle(material.id, extend)}
            onLook={() => onLook(material.id)}
            onRename={(on) => {
              setRenaming(on ? material.id : null);
              if (!on) setWanted(material.id);
            }}
          />
        ))}
      </ul>
    );

  return (
    <DndContext
      sensors={sensors}
      collisionDetection={pointerWithin}
      onDragEnd={({ active, over }) => {
        if (!over) return;
        const dragged = String(active.id);
        onMove(chosen.includes(dragged) ? chosen : [dragged], String(over.id).replace(/^group /, '') || null);
      }}
    >
      {/* Keys of the tiles inside, each of which is a button. */}
      {/* eslint-disable-next-line jsx-a11y/no-static-element-interactions */}
      <div ref={wall} className="material-wall" onKeyDown={onKey}>
        {whole ? (
          lines.map((line) => (
            <div key={line.key} style={{ minHeight: line.heightPx }}>
              {draw(line)}
            </div>
          ))
        ) : (
          <div style={{ height: virtual.getTotalSize(), position: 'relative' }}>
            {virtual.getVirtualItems().map(({ index, key, start }) => {
              const line = lines[index];
              return line ? (
                <div
                  key={key}
                  style={{
                    position: 'absolute',
                    insetInline: 0,
                    height: line.heightPx,
                    transform: `translateY(${start - topPx}px)`,
                  }}
                >
                  {draw(line)}
                </div>
              ) : null;
            })}
          </div>
        )}
      </div>
    </DndContext>
  );
}
