import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useRef, useState } from 'react';
import type { Column } from './columns.ts';
import { useWhoRows } from './use-who-rows.ts';
import { OutOfSight, rowPx, WhoRow } from './who-row.tsx';

/** With fewer rows all of them are drawn: then the browser's own search and a screen reader have the whole table. */
const drawnWhole = 60;
/** With fewer kinds of readers all of their columns are drawn. */
const columnsWhole = 14;
/** In pixels, as the widths of columns below say. */
const columnPx = 96;
const namesPx = 320;
/** Columns come into sight so many at a time: each time, every row that is in sight is drawn again. */
const atATime = 4;

/** The range in whole steps. @returns its first and the one after its last */
const wholeSteps = (first: number, end: number, count: number): [from: number, to: number] => [
  Math.floor(first / atATime) * atATime,
  Math.min(count, Math.ceil(end / atATime) * atATime),
];

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
  // Names that stay in sight are a layer of the browser each; until somebody goes sideways none is needed.
  const [aside, setAside] = useState(false);
  const whole = rows.length <= drawnWhole;
  // eslint-disable-next-line react-hooks/incompatible-library -- this component is small and may draw as often as it likes
  const virtual = useVirtualizer({
    count: rows.length,
    enabled: !whole,
    getScrollElement: () => frame.current,
    estimateSize: () => rowPx,
    getItemKey: (at) => rows[at]?.key ?? at,
    overscan: 4,
  });
  const wide = columns.length > columnsWhole;
  const across = useVirtualizer({
    horizontal: true,
    count: columns.length,
    enabled: wide,
    getScrollElement: () => frame.current,
    estimateSize: () => columnPx,
    paddingStart: namesPx,
    overscan: 1,
  });
  const seen = across.getVirtualItems();
  const [from, to] = wide
    ? wholeSteps(seen[0]?.index ?? 0, (seen.at(-1)?.index ?? -1) + 1, columns.length)
    : [0, columns.length];
  const items = virtual.getVirtualItems();
  const drawn = whole ? rows.map((_, at) => at) : items.map(({ index }) => index);
  const toggle = useCallback(
    (page: string) =>
      setOpened((old) => {
        const next = new Set(old);
        if (!next.delete(page)) next.add(page);
        return next;
      }),
    [],
  );
  return (
    <div
      ref={frame}
      onScroll={({ currentTarget }) => setAside(currentTarget.scrollLeft !== 0)}
      data-aside={aside || undefined}
      className="group/who relative min-h-0 overflow-auto pb-28 focus-visible:outline-3 focus-visible:outline-sky"
      role="region"
      aria-label="Who gets what"
      // A table that is wider or longer than the room is scrolled by keys as well.
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
    >
      <table
        className="table-fixed border-separate [--names:20rem] phone:[--names:10rem] border-spacing-0 text-s"
        style={{ width: `calc(var(--names) + ${columns.length} * 6rem)` }}
        aria-rowcount={rows.length + 1}
        aria-colcount={columns.length + 1}
      >
        {/* Widths that are known: else every row that comes into sight would have all of them measured again. */}
        <colgroup>
          <col className="w-(--names)" />
          {columns.map(({ key }) => (
            <col key={key} className="w-24" />
          ))}
        </colgroup>
        <thead className="sticky top-0 z-2">
          <tr aria-rowindex={1}>
            <th
              scope="col"
              aria-colindex={1}
              className="sticky left-0 z-1 bg-paper p-2 text-start align-bottom"
            >
              Page
            </th>
            <OutOfSight columns={from} />
            {columns.slice(from, to).map(({ key, name, note }, at) => (
              <th
                key={key}
                scope="col"
                aria-colindex={from + at + 2}
                className="bg-paper p-2 text-center align-bottom font-firm"
              >
                {note && <span className="note block">{note}</span>}
                <span className="line-clamp-2 break-words">{name}</span>
              </th>
            ))}
            <OutOfSight columns={columns.length - to} />
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
                  {...{ row, columns, from, to }}
                  index={at + 2}
                  open={opened.has(row.page)}
                  onToggle={toggle}
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
