import { CalendarDays, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import type { AgendaEntry } from '#core/parts/agenda.ts';
import type { Planned } from '../../parts/agenda/use-plan.ts';
import { IconButton } from '../../ui/icon-button.tsx';

interface PlannedRowProps {
  planned: Planned;
  base: string;
  onChange: (entry: AgendaEntry, label: string) => void;
  onTick: (done: boolean) => void;
  onRemove: () => void;
}

const row =
  'grid grid-cols-[auto_minmax(0,1fr)_auto_auto] items-center gap-x-3 gap-y-1 border-t border-line py-1.5 phone:grid-cols-[auto_minmax(0,1fr)_auto]';
const small = 'note truncate max-w-48 phone:col-start-2 phone:row-start-2';

/** A date that came from a calendar: told, not changed here. */
function DateRow({ planned: { entry, page }, base, onRemove }: PlannedRowProps) {
  if (entry.kind !== 'date') return null;
  const day = entry.day === null ? '' : entry.until === null ? entry.day : `${entry.day}/${entry.until}`;
  return (
    <li className={row}>
      <CalendarDays size={18} aria-hidden="true" className="text-ink-2" />
      <p className="min-w-0">
        <span className="break-words">{entry.what}</span>
        <span className="note block">
          {day && roughDateForReaders(day, 'en')}
          {entry.time !== null && `, ${entry.time}`}
          {entry.place && `, ${entry.place}`}
        </span>
      </p>
      <Link className={`${small} link`} to={`${base}/projects/${page.id}`}>
        {page.name}
      </Link>
      <IconButton small label={`Take ${entry.what} off`} onClick={onRemove}>
        <Trash2 size={15} aria-hidden="true" />
      </IconButton>
    </li>
  );
}

/** One thing that is planned. */
export function PlannedRow(props: PlannedRowProps) {
  const { planned, base, onChange, onTick, onRemove } = props;
  const { entry, page } = planned;
  const [what, setWhat] = useState<string | null>(null);
  if (entry.kind === 'date') return <DateRow {...props} />;
  const name = entry.what || 'this task';
  return (
    <li className={row}>
      <input
        type="checkbox"
        className="h-5 w-5 flex-none accent-[var(--ink)]"
        aria-label={`${name} is done`}
        checked={entry.done !== null}
        onChange={({ target }) => onTick(target.checked)}
      />
      <div className="flex min-w-0 flex-wrap items-center gap-2">
        <input
          className={`input min-w-40 flex-1 border-transparent bg-transparent hover:border-edge focus:border-edge focus:bg-raised ${entry.done === null ? '' : 'text-ink-3 line-through'}`}
          aria-label={`What to do: ${name}`}
          maxLength={200}
          value={what ?? entry.what}
          onChange={({ target }) => setWhat(target.value)}
          onBlur={() => {
            if (what !== null && what.trim() !== '' && what !== entry.what)
              onChange({ ...entry, what: what.trim() }, 'What to do');
            setWhat(null);
          }}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
          }}
        />
        <input
          type="date"
          className="input w-auto"
          aria-label={`By when: ${name}`}
          value={entry.day ?? ''}
          onChange={({ target }) =>
            onChange(
              {
                ...entry,
                day: target.value === '' ? null : target.value,
                time: target.value === '' ? null : entry.time,
              },
              'By when',
            )
          }
        />
        {entry.day !== null && (
          <input
            type="time"
            className="input w-auto"
            aria-label={`At what time: ${name}`}
            value={entry.time ?? ''}
            onChange={({ target }) =>
              onChange(
                { ...entry, time: /^\d\d:\d\d$/.test(target.value) ? target.value : null },
                'At what time',
              )
            }
          />
        )}
      </div>
      <Link className={`${small} link`} to={`${base}/projects/${page.id}`}>
        {page.name}
      </Link>
      <IconButton small label={`Take ${name} off`} onClick={onRemove}>
        <Trash2 size={15} aria-hidden="true" />
      </IconButton>
    </li>
  );
}
