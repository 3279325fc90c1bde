import { type KeyboardEvent, useRef } from 'react';
import type { EvidenceMap, SkillRow } from '#core/resume/evidence-map/evidence-map.ts';
import { verdictWords } from './verdict-words.ts';

const count = ({ proofs }: SkillRow, kind: string) => {
  const all = proofs.filter((one) => one.kind === kind).length;
  return all === 0 ? '–' : all;
};
const opened = ({ proofs }: SkillRow) => {
  const there = proofs.filter(({ kind }) => kind !== 'gone');
  return there.length === 0 ? '–' : `${there.filter(({ opens }) => opens).length} of ${there.length}`;
};

/** Each skill with how much shows it, and to how many of its readers. Up and down go from one to the next. */
export function SkillTable({
  map,
  selected,
  onSelect,
}: {
  map: EvidenceMap;
  selected: string | null;
  onSelect: (id: string) => void;
}) {
  const buttons = useRef(new Map<string, HTMLButtonElement>());
  const move = (event: KeyboardEvent, at: number) => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const next = by === undefined ? undefined : map.rows[at + by];
    if (!next) return;
    event.preventDefault();
    onSelect(next.entry.id);
    buttons.current.get(next.entry.id)?.focus();
  };
  return (
    <table className="skill-table">
      <thead>
        <tr>
          <th scope="col">Skill</th>
          <th scope="col" className="few">
            Pages
          </th>
          <th scope="col" className="few">
            Parts
          </th>
          <th scope="col" className="few">
            Docs
          </th>
          <th scope="col">Readers open</th>
          <th scope="col">So it is</th>
        </tr>
      </thead>
      <tbody>
        {map.rows.map((row, at) => (
          <tr key={row.entry.id} data-on={row.entry.id === selected || undefined}>
            <th scope="row">
              <button
                type="button"
                ref={(button) => {
                  if (button) buttons.current.set(row.entry.id, button);
                  else buttons.current.delete(row.entry.id);
                }}
                aria-pressed={row.entry.id === selected}
                onClick={() => onSelect(row.entry.id)}
                onKeyDown={(event) => move(event, at)}
              >
                {row.entry.title || 'Skill without a name'}
              </button>
            </th>
            <td className="few">{count(row, 'page')}</td>
            <td className="few">{count(row, 'part')}</td>
            <td className="few">{count(row, 'document')}</td>
            <td>{opened(row)}</td>
            <td>
              <span className="verdict" data-verdict={row.verdict}>
                {verdictWords[row.verdict]}
              </span>
              <i className="knot" data-knot={`skill ${row.entry.id}`} aria-hidden="true" />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
