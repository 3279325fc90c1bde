import { useSpoken } from '../../render/words.ts';
import type { PartViewProps } from '../part-drawing.ts';

/** Rows and columns; numbers to the right, and below them what they come to. */
export function TablePart({ part: { title, columns, rows } }: PartViewProps<'table'>) {
  const { words, lang } = useSpoken();
  const named = columns.some(({ name }) => name.trim() !== '');
  const summed = columns.some(({ sum }) => sum !== null);
  const side = (at: number) => (columns[at]?.numbers ? 'numbers' : undefined);
  // Where the first column says what a row is, its total is called so there.
  const firstIsWords = columns[0]?.sum === null;
  return (
    <div className="on-grid rows-and-columns">
      {title && <h2>{title}</h2>}
      {/* A wide table scrolls by itself, by keyboard too, and never makes the page scroll sideways. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex -- what scrolls has to be reached */}
      <div className="table" role="region" aria-label={title || words.table} tabIndex={0}>
        <table>
          {named && (
            <thead>
              <tr>
                {columns.map(({ name }, at) => (
                  <th key={at} scope="col" className={side(at)}>
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
          )}
          <tbody>
            {rows.map((row, at) => (
              <tr key={at}>
                {columns.map((_, column) => (
                  <td key={column} className={side(column)}>
                    {row[column]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
          {summed && (
            <tfoot>
              <tr>
                {columns.map(({ sum }, at) =>
                  at === 0 && firstIsWords ? (
                    <th key={at} scope="row" {...lang}>
                      {words.total}
                    </th>
                  ) : (
                    <td key={at} className="numbers">
                      {sum}
                    </td>
                  ),
                )}
              </tr>
            </tfoot>
          )}
        </table>
      </div>
    </div>
  );
}
