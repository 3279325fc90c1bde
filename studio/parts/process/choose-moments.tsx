import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import type { KeptMoment } from '#core/moments/drawn-moments.ts';
import type { Part } from '#core/parts/parts.ts';
import type { Process } from '#core/parts/process.ts';
import { plural } from '#core/words/plural.ts';
import { CheckField } from '../../ui/check-field.tsx';

/** Which moments a process draws, where not all of them; at least one stays, since none chosen means all. */
export function ChooseMoments({
  part,
  all,
  onChange,
}: {
  part: Process;
  all: readonly KeptMoment[];
  onChange: (part: Part) => void;
}) {
  if (all.length < 2) return null;
  const ids = all.map(({ moment }) => moment.id);
  const chosen = part.chosen.length === 0 ? ids : ids.filter((id) => part.chosen.includes(id));
  const choose = (id: string, wanted: boolean) => {
    const next = ids.filter((one) => (one === id ? wanted : chosen.includes(one)));
    if (next.length > 0) onChange({ ...part, chosen: next.length === ids.length ? [] : next });
  };
  return (
    <details>
      <summary className="field-name">
        {part.chosen.length === 0
          ? `All ${plural(ids.length, 'moment')}, and those that come`
          : `${chosen.length} of ${plural(ids.length, 'moment')}`}
      </summary>
      <div className="grid gap-1.5 pt-2">
        {all.map(({ moment }) => (
          <CheckField
            key={moment.id}
            name={`${roughDateForReaders(moment.date, 'en')}: ${moment.title || 'Moment'}`}
            checked={chosen.includes(moment.id)}
            onChange={(wanted) => choose(moment.id, wanted)}
          />
        ))}
      </div>
    </details>
  );
}
