import { useVirtualizer } from '@tanstack/react-virtual';
import { useRef, useState } from 'react';
import type { Column } from './columns.ts';
import { useWhoRows } from './use-who-rows.ts';
import { rowPx, WhoRow } from './who-row.tsx';

/** With fewer rows all of them are drawn: then the browser's own search and a screen reader have the whole table. */
const drawnWhole = 60;

const Gap = ({ px }: { px: number }) =>
  px > 0 ? (
    <tr aria-hidden="true">
      <td style={{ height: px }} />
    </tr>
  ) : null;

/** Pages and parts by kinds of readers; of hundreds of pages only those in sight are drawn. */
export function WhoTable({ columns }: { columns: readonly Column[] }) {
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const rows = useWhoRows(columns, opened);
  const frame = useRef<HTMLDivElement>(null);
  const whole = rows.length <= drawnWhole;
  // eslint-disable-next-line react-hooks/incompatible-library -- this component is small and may draw as often as it likes
  const virtual = useVirtualizer({
    count: rows.length,
    enabled: !whole,
    getScrollElement: () => frame.current,
    estimateSize: () => rowPx,
    getItemKey: (at) => rows[at]?.key ?? at,
    overscan: 8,
  });
  const items = virtual.getVirtualItems();
  const drawn = whole ? rows.map((_, at) => at) : items.map(({ index }) => index);
  const toggle = (page: string) =>
    setOpened((old) => {
      const next = new Set(old);
      if (!next.delete(page)) next.add(page);
      return next;
    });
  return (
    <div
      ref={frame}
      className="relative min-h-0 overflow-auto pb-28 focus-visible:outline-3 focus-visible:outline-sky"
      role="region"
      aria-label="Who gets what"
      // A table that is wider or longer than the room is scrolled by keys as well.
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
    >
      <table className="border-separate border-spacing-0 text-s" aria-rowcount={rows.length + 1}>
        <thead>
          <tr aria-rowindex={1}>
            <th scope="col" className="sticky top-0 left-0 z-2 bg-paper p-2 text-start align-bottom">
              Page
            </th>
            {columns.map(({ key, name, note }) => (
              <th
                key={key}
                scope="col"
                className="sticky top-0 z-1 max-w-32 min-w-20 bg-paper p-2 text-center align-bottom font-firm"
              >
                {note && <span className="note block">{note}</span>}
                <span className="line-clamp-2 break-words">{name}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          <Gap px={whole ? 0 : (items[0]?.start ?? 0)} />
          {drawn.map((at) => {
            const row = rows[at];
            return (
              row && (
                <WhoRow
                  key={row.key}
                  {...{ row, columns }}
                  index={at + 2}
                  open={opened.has(row.page)}
                  onToggle={() => toggle(row.page)}
                />
              )
            );
          })}
          <Gap px={whole ? 0 : virtual.getTotalSize() - (items.at(-1)?.end ?? 0)} />
        </tbody>
      </table>
      <p className="note mt-4">
        A full sign opens it; a dashed one by its own link, or once the pass is open; a line does not. Parts
        are told where some readers of a page do not get them.
      </p>
    </div>
  );
}
