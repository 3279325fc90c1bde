import { ArrowDown, ArrowUp, Plus, X } from 'lucide-react';
import { useRef } from 'react';
import { type Checklist, type ChecklistLine, mostLines } from '#core/check/lists/checklist.ts';
import { newId } from '../parts/new-id.ts';
import { Button } from '../ui/button.tsx';
import { CheckField } from '../ui/check-field.tsx';
import { Field } from '../ui/field.tsx';
import { IconButton } from '../ui/icon-button.tsx';
import { SelectField } from '../ui/select.tsx';
import { ruleWords } from './rule-words.ts';

const byHand = 'by hand';
const tickers = [
  { value: byHand, name: 'Me' },
  ...Object.entries(ruleWords).map(([value, name]) => ({ value, name: `Check: ${name}` })),
];

/** A list as it is written. */
export function ChecklistEditor({
  list,
  onChange,
}: {
  list: Checklist;
  onChange: (list: Checklist) => void;
}) {
  const { lines } = list;
  const put = (all: ChecklistLine[]) => onChange({ ...list, lines: all });
  const change = (id: string, more: Partial<ChecklistLine>) =>
    put(lines.map((one) => (one.id === id ? { ...one, ...more } : one)));
  /** The line that was just added is the one to be written. */
  const added = useRef<string | null>(null);
  const move = (at: number, to: number) => {
    const all = [...lines];
    const [one] = all.splice(at, 1);
    if (one) put([...all.slice(0, to), one, ...all.slice(to)]);
  };
  return (
    <div className="grid gap-4">
      <Field
        label="What it is called"
        value={list.name}
        maxLength={80}
        onChange={({ target }) => onChange({ ...list, name: target.value })}
      />
      <Field
        label="Who gave it"
        hint="empty: you"
        value={list.by}
        maxLength={80}
        onChange={({ target }) => onChange({ ...list, by: target.value })}
      />
      <Field
        label="Pieces of evidence in each project"
        hint="0: it asks for none"
        type="number"
        min={0}
        max={20}
        value={list.evidence}
        onChange={({ target }) => {
          const many = target.valueAsNumber;
          if (Number.isInteger(many) && many >= 0 && many <= 20) onChange({ ...list, evidence: many });
        }}
      />
      <ol className="grid gap-3">
        {lines.map((line, at) => (
          <li key={line.id} className="grid gap-2 border-t border-line pt-3">
            <Field
              label={`Line ${at + 1}`}
              value={line.text}
              maxLength={200}
              ref={(input) => {
                if (input && added.current === line.id) {
                  added.current = null;
                  input.focus();
                }
              }}
              onChange={({ target }) => change(line.id, { text: target.value })}
            />
            <SelectField
              name={`Who ticks line ${at + 1}`}
              value={line.rule ?? byHand}
              options={
                line.rule === null || line.rule in ruleWords
                  ? tickers
                  : [...tickers, { value: line.rule, name: 'A rule that is not here' }]
              }
              onChange={(rule) => change(line.id, { rule: rule === byHand ? null : rule })}
            />
            <div className="flex items-center justify-between gap-2">
              <CheckField
                name="Essential"
                checked={line.essential}
                onChange={(essential) => change(line.id, { essential })}
              />
              <span className="flex">
                <IconButton
                  small
                  label={`Line ${at + 1} earlier`}
                  disabled={at === 0}
                  onClick={() => move(at, at - 1)}
                >
                  <ArrowUp size={16} aria-hidden="true" />
                </IconButton>
                <IconButton
                  small
                  label={`Line ${at + 1} later`}
                  disabled={at === lines.length - 1}
                  onClick={() => move(at, at + 1)}
                >
                  <ArrowDown size={16} aria-hidden="true" />
                </IconButton>
                <IconButton
                  small
                  label={`Take line ${at + 1} out`}
                  onClick={() => put(lines.filter(({ id }) => id !== line.id))}
                >
                  <X size={16} aria-hidden="true" />
                </IconButton>
              </span>
            </div>
          </li>
        ))}
      </ol>
      {lines.length < mostLines && (
        <Button
          small
          className="justify-self-start"
          onClick={() => {
            added.current = newId();
            put([...lines, { id: added.current, text: '', essential: true, rule: null, done: false }]);
          }}
        >
          <Plus size={15} aria-hidden="true" />
          Add a line
        </Button>
      )}
    </div>
  );
}
