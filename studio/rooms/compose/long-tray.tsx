import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import { useRef, useState } from 'react';
import { listLook, TrayItem, type TrayListProps } from './tray-item.tsx';

/** From the left edge of one to that of the next, and what stands before the first, in px; see `listLook`. */
const pitchPx = 112;
const edgePx = 3;

/** Thousands of things in one line, of which only those in sight are drawn. */
export function LongTray({ folded, loose, picked, dragged, onPick, onPlace }: TrayListProps) {
  const list = useRef<HTMLUListElement>(null);
  const [focused, setFocused] = useState<string | null>(null);
  const held = new Set([dragged, focused]);
  // eslint-disable-next-line react-hooks/incompatible-library -- this component is small and may draw as often as it likes
  const virtual = useVirtualizer({
    horizontal: true,
    count: loose.length,
    getScrollElement: () => list.current,
    estimateSize: () => pitchPx,
    overscan: 6,
    // What the pointer or the focus is on stays drawn, however far it is scrolled away.
    rangeExtractor: (range) => {
      const kept = loose.flatMap(({ id }, at) => (held.has(id) ? [at] : []));
      return [...new Set([...defaultRangeExtractor(range), ...kept])].sort((a, b) => a - b);
    },
  });
  return (
    <ul ref={list} className={`relative h-24.5 ${listLook(folded)}`}>
      <li role="none" className="flex-none" style={{ width: loose.length * pitchPx }} />
      {virtual.getVirtualItems().map(({ index }) => {
        const material = loose[index];
        return material ? (
          <TrayItem
            key={material.id}
            material={material}
            number={index + 1}
            count={loose.length}
            picked={picked.includes(material.id)}
            leftPx={edgePx + index * pitchPx}
            onPick={() => onPick(material.id)}
            onPlace={() => onPlace(material.id)}
            onFocus={() => setFocused(material.id)}
          />
        ) : null;
      })}
    </ul>
  );
}
