import { Plus, Sigma, X } from 'lucide-react';
import { type ClipboardEvent, type KeyboardEvent, useRef } from 'react';
import { flushSync } from 'react-dom';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { heightLevel, lowest } from '#core/access/height.ts';
import { totalOf } from '#core/parts/amounts.ts';
import type { PartOf } from '#core/parts/parts.ts';
import { cellsOf, mostColumns, mostRows } from '#core/parts/table.ts';
import { filledIn } from '#core/parts/table-filled-in.ts';
import { pastedCells } from '#core/words/pasted-cells.ts';
import { useSite } from '../../api/site-context.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import type { PartPanelProps } from '../part-settings.ts';
import { notice } from '../../ui/notice.ts';
import { Field } from '../../ui/field.tsx';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { newId } from '../new-id.ts';

const whyNoSum = {
  empty: 'Nothing to add up yet.',
  words: 'Not added up: a cell holds something that is no number, or can be read as two.',
  units: 'Not added up: the cells are in different units.',
} as const;

/** Below a selected table: its columns with their heights and sums, and a cell for everything. */
export function TablePanel({ part, page, onChange }: PartPanelProps<'table'>) {
  const { state } = useSite();
  const grid = useRef<HTMLTableElement>(null);
  const { columns, rows } = part;
  const ofPart = effectiveHeight(state, { page: page.id, part: part.id });
  const set = (change: Partial<PartOf<'table'>>) => onChange({ ...part, ...change });
  const setColumn = (at: number, change: Partial<(typeof columns)[number]>) =>
    set({ columns: columns.map((one, n) => (n === at ? { ...one, ...change } : one)) });
  const setCell = (row: number, at: number, text: string) =>
    set({
      rows: rows.map((cells, n) =>
        n === row ? columns.map((_, c) => (c === at ? text : (cells[c] ?? ''))) : cells,
      ),
    });
  const addRow = () => set({ rows: [...rows, columns.map(() => '')] });
  const focusCell = (row: number, at: number) =>
    grid.current?.querySelector<HTMLElement>(`[data-cell="${row} ${at}"]`)?.focus();
  const removeColumn = (at: number) =>
    set({
      columns: columns.filter((_, n) => n !== at),
      rows: rows.map((cells) => cells.filter((_, n) => n !== at)),
    });

  const onPaste = (event: ClipboardEvent, row: number, at: number) => {
    const cells = pastedCells({
      html: event.clipboardData.getData('text/html'),
      text: event.clipboardData.getData('text/plain'),
    });
    if (!cells) return;
    event.preventDefault();
    event.stopPropagation();
    const { table, left } = filledIn(part, cells, { row, column: at }, newId);
    onChange(table);
    if (left > 0)
      notice(
        `A table holds ${mostRows} rows of ${mostColumns} columns: ${left} cells of what you pasted did not fit.`,
      );
  };
  const onKey = (event: KeyboardEvent, row: number, at: number) => {
    const by = event.altKey && { ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (by) {
      const to = row + by;
      const moved = rows[row];
      if (!moved || to < 0 || to >= rows.length) return;
      event.preventDefault();
      event.stopPropagation();
      flushSync(() => set({ rows: rows.filter((_, n) => n !== row).toSpliced(to, 0, moved) }));
      focusCell(to, at);
    } else if (event.key === 'Enter') {
      event.preventDefault();
      // Drawn at once: the next key belongs into the new row.
      if (row === rows.length - 1 && rows.length < mostRows) flushSync(addRow);
      focusCell(row + 1, at);
    }
  };

  return (
    <div className="grid gap-3">
      <Field
        label="Heading of the table"
        hint="if it needs one"
        value={part.title}
        maxLength={120}
        onChange={(event) => set({ title: event.target.value })}
      />
      <div className="overflow-x-auto pb-1">
        <table
          ref={grid}
          className="min-w-full border-collapse [&_:is(td,th)]:py-0.5 [&_:is(td,th)]:pr-1 [&_:is(td,th)]:text-start [&_:is(td,th)]:align-top"
        >
          <thead>
            <tr>
              {columns.map((column, at) => {
                const total = column.sum ? totalOf(cellsOf(part, at)) : null;
                const height = lowest([ofPart.height, column.height]);
                const held = heightLevel(height) < heightLevel(column.height);
                const name = column.name || `column ${at + 1}`;
                return (
                  <th key={column.id} className="font-[inherit]" scope="col">
                    <input
                      className="input min-w-26 font-strong"
                      aria-label={`Name of column ${at + 1}`}
                      placeholder={`Column ${at + 1}`}
                      value={column.name}
                      maxLength={80}
                      onChange={(event) => setColumn(at, { name: event.target.value })}
                    />
                    <span className="flex items-center flex-wrap">
                      <HeightRow
                        effective={{ chosen: column.height, height, heldBy: held ? ofPart.heldBy : null }}
                        of={name}
                        onChange={(chosen) => setColumn(at, { height: chosen })}
                        compact
                      />
                      <button
                        type="button"
                        className="tool"
                        aria-label={`Add up ${name}`}
                        aria-pressed={column.sum}
                        onClick={() => setColumn(at, { sum: !column.sum })}
                      >
                        <Sigma size={16} aria-hidden="true" />
                      </button>
                      {columns.length > 1 && (
                        <button
                          type="button"
                          className="tool"
                          aria-label={`Take ${name} out`}
                          onClick={() => removeColumn(at)}
                        >
                          <X size={16} aria-hidden="true" />
                        </button>
                      )}
                    </span>
                    {total && (
                      <span className="note block max-w-56 font-plain" role="status">
                        {total.kind === 'sum' ? `Together ${total.text}` : whyNoSum[total.why]}
                      </span>
                    )}
                  </th>
                );
              })}
              <td>
                {columns.length < mostColumns && (
                  <IconButton
                    small
                    label="Add a column"
                    onClick={() =>
                      set({
                        columns: [...columns, { id: newId(), name: '', height: 'public', sum: false }],
                        rows: rows.map((cells) => [...columns.map((_, at) => cells[at] ?? ''), '']),
                      })
                    }
                  >
                    <Plus size={16} aria-hidden="true" />
                  </IconButton>
                )}
              </td>
            </tr>
          </thead>
          <tbody>
            {rows.map((cells, row) => (
              <tr key={row}>
                {columns.map((column, at) => (
                  <td key={column.id}>
                    <input
                      className="input min-w-26"
                      data-cell={`${row} ${at}`}
                      aria-label={`${column.name || `Column ${at + 1}`}, row ${row + 1}`}
                      value={cells[at] ?? ''}
                      maxLength={400}
                      onChange={(event) => setCell(row, at, event.target.value)}
                      onPaste={(event) => onPaste(event, row, at)}
                      onKeyDown={(event) => onKey(event, row, at)}
                    />
                  </td>
                ))}
                <td>
                  <IconButton
                    small
                    label={`Take row ${row + 1} out`}
                    onClick={() => set({ rows: rows.filter((_, n) => n !== row) })}
                  >
                    <X size={15} aria-hidden="true" />
                  </IconButton>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        {rows.length < mostRows && (
          <Button small onClick={addRow}>
            <Plus size={15} aria-hidden="true" /> Add a row
          </Button>
        )}
        <p className="note">
          Cells copied from a spreadsheet can be pasted into any cell. <kbd>Enter</kbd> goes down,{' '}
          <kbd>Alt</kbd> <kbd>↑</kbd> <kbd>↓</kbd> moves a row. Each column has a height of its own.
        </p>
      </div>
    </div>
  );
}
