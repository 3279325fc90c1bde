import { ChevronRight } from 'lucide-react';
import { memo } from 'react';
import { effectiveHeight } from '#core/access/effective-height.ts';
import type { Gets } from '#core/access/who-gets-what.ts';
import { useSite } from '../../api/site-context.tsx';
import { HeightGlyph } from '../../ui/height-glyph.tsx';
import { heightNames } from '../../ui/height-names.ts';
import type { Column } from './columns.ts';
import type { WhoRowOf } from './use-who-rows.ts';
import { WhoCell } from './who-cell.tsx';

/** How high each row is. */
export const rowPx = 44;

/** Where a page is shown as a reader gets it; null for those as whom nothing is shown. */
function hrefOf(site: string, { seeAs }: Column, page: string, gets: Gets): string | null {
  if (seeAs === null) return null;
  const as = gets === 'by-its-own-link' ? `page-${page}` : seeAs;
  return `/studio/see/${site}/${as}/?page=${page}`;
}

interface WhoRowProps {
  row: WhoRowOf;
  /** Counted from 1, with the row of names. */
  index: number;
  columns: readonly Column[];
  /** The columns that are drawn, the last one not among them. */
  from: number;
  to: number;
  open: boolean;
  onToggle: (page: string) => void;
}

/** Columns that are out of sight. */
export const OutOfSight = ({ columns }: { columns: number }) =>
  columns > 0 ? <td aria-hidden="true" colSpan={columns} /> : null;

/** A page or a part, and what each kind of reader gets of it. Drawn again only where something of it changed: of forty passes a row is long. */
export const WhoRow = memo(function WhoRow({ row, index, columns, from, to, open, onToggle }: WhoRowProps) {
  const { state } = useSite();
  const { height } = effectiveHeight(state, { page: row.page });
  return (
    <tr aria-rowindex={index}>
      <th
        scope="row"
        aria-colindex={1}
        className="z-1 max-w-80 group-data-aside/who:sticky group-data-aside/who:left-0 border-t border-line bg-paper p-1 pr-3 text-start font-normal phone:max-w-40"
        style={{ paddingInlineStart: 4 + row.depth * 18, height: rowPx }}
      >
        <span className="flex items-center gap-2">
          {!row.part && <HeightGlyph height={height} size={20} />}
          <span className={`min-w-0 truncate ${row.part ? 'text-ink-2' : 'font-firm'}`}>{row.name}</span>
          {!row.part && <span className="note phone:hidden">{heightNames[height]}</span>}
          {row.inside > 0 && (
            <button
              type="button"
              className="ml-auto inline-flex min-h-8 items-center gap-0.5 rounded-[4px] px-1.5 text-ink-2 hover:bg-sunk"
              aria-expanded={open}
              aria-label={`Parts of ${row.name} that not all get: ${row.inside}`}
              onClick={() => onToggle(row.page)}
            >
              <ChevronRight size={14} aria-hidden="true" className={open ? 'rotate-90' : ''} />
              {row.inside}
            </button>
          )}
        </span>
      </th>
      <OutOfSight columns={from} />
      {columns.slice(from, to).map((column, at) => {
        const gets = column.key === 'search' && column.shut ? 'no' : (row.gets[from + at] ?? 'no');
        return (
          <td key={column.key} aria-colindex={from + at + 2} className="border-t border-line text-center">
            <WhoCell
              {...{ gets, column }}
              of={row.name}
              href={hrefOf(state.site.id, column, row.page, gets)}
            />
          </td>
        );
      })}
      <OutOfSight columns={columns.length - to} />
    </tr>
  );
});
