import { CircleCheck, CircleDashed } from 'lucide-react';
import { type Checklist, type ChecklistLine, toldLines } from '#core/check/lists/checklist.ts';
import { type LeftOf, lineState, progressOf } from '#core/check/lists/progress.ts';
import { CheckField } from '../../../ui/check-field.tsx';

interface ChecklistViewProps {
  list: Checklist;
  leftOf: LeftOf;
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

/** A list as it is worked through. */
export function ChecklistView({ list, leftOf, onTick }: ChecklistViewProps) {
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
                </li>
              ))}
          </ul>
        </section>
      ))}
    </>
  );
}
