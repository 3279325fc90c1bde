import { CircleCheck, CircleDashed } from 'lucide-react';
import { type Checklist, type ChecklistLine, toldLines } from '#core/check/lists/checklist.ts';
import { type LeftOf, lineState, progressOf } from '#core/check/lists/progress.ts';
import type { LookAnswer } from '#core/second-look/second-look.ts';
import { CheckField } from '../../../ui/check-field.tsx';

/** What somebody who was asked to look said to a line. */
export interface SaidToLine {
  who: string;
  answer: LookAnswer;
}

interface ChecklistViewProps {
  list: Checklist;
  leftOf: LeftOf;
  /** What others say to a line, beside its maker's own tick. */
  saidTo: (line: string) => readonly SaidToLine[];
  onTick: (line: string, done: boolean) => void;
}

function Line({
  line,
  leftOf,
  onTick,
}: { line: ChecklistLine } & Pick<ChecklistViewProps, 'leftOf' | 'onTick'>) {
  const { done, byRule, left } = lineState(line, leftOf);
  if (!byRule) return <CheckField name={line.text} checked={done} onChange={(now) => onTick(line.id, now)} />;
  const Icon = done ? CircleCheck : CircleDashed;
  return (
    <p className="flex items-start gap-3">
      <Icon
        size={20}
        className={`mt-0.5 flex-none ${done ? 'text-meadow' : 'text-clay'}`}
        aria-hidden="true"
      />
      <span>
        {line.text}
        <em className="note block not-italic">
          {left === 'unknown' ? 'Check is looking' : done ? 'Done, says Check' : `${left} left, says Check`}
        </em>
      </span>
    </p>
  );
}

/** What others say to a line. */
function Said({ said }: { said: readonly SaidToLine[] }) {
  if (said.length === 0) return null;
  return (
    <ul className="note ps-8">
      {said.map(({ who, answer }, at) => (
        <li key={at} className="[overflow-wrap:anywhere]">
          {answer.says === 'yes'
            ? `${who}: yes`
            : `${who} asks${answer.words === '' ? ' here' : `: “${answer.words}”`}`}
        </li>
      ))}
    </ul>
  );
}

/** A list as it is worked through. */
export function ChecklistView({ list, leftOf, saidTo, onTick }: ChecklistViewProps) {
  const progress = progressOf(list, leftOf);
  const groups = [
    { name: 'Essentials', essential: true, ...progress.essentials },
    { name: 'Extras', essential: false, ...progress.extras },
  ].filter((group) => group.of > 0);
  if (groups.length === 0) return <p className="note">Nothing is in it yet.</p>;
  return (
    <>
      {groups.map(({ name, essential, done, of }) => (
        <section key={name} aria-label={`${name} of ${list.name || 'this list'}`} className="grid gap-2">
          <h4 className="flex justify-between border-b border-line pb-1 text-s font-firm text-ink-2">
            {name}
            <span>
              {done} of {of}
            </span>
          </h4>
          <ul className="grid gap-2">
            {toldLines(list)
              .filter((line) => line.essential === essential)
              .map((line) => (
                <li key={line.id}>
                  <Line {...{ line, leftOf, onTick }} />
                  <Said said={saidTo(line.id)} />
                </li>
              ))}
          </ul>
        </section>
      ))}
    </>
  );
}
