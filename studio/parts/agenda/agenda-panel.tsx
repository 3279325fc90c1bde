import { Link } from 'react-router';
import { effectiveHeight } from '#core/access/effective-height.ts';
import { heightLevel, lowest } from '#core/access/height.ts';
import { inOrderOfDays } from '#core/parts/agenda.ts';
import { roughDateForReaders } from '#core/dates/rough-date-for-readers.ts';
import { en } from '#core/public-words/en.ts';
import { useSite } from '../../api/site-context.tsx';
import { Field } from '../../ui/field.tsx';
import { HeightRow } from '../../ui/height-control.tsx';
import type { PartPanelProps } from '../part-settings.ts';

/** Below a selected agenda: its heading, and who gets which of its entries. They are written in the Plan. */
export function AgendaPanel({ part, page, onChange }: PartPanelProps<'agenda'>) {
  const { state } = useSite();
  const ofPart = effectiveHeight(state, { page: page.id, part: part.id });
  return (
    <div className="grid gap-3">
      <Field
        label="Heading"
        placeholder={en.agenda.title}
        value={part.title}
        maxLength={120}
        onChange={({ target }) => onChange({ ...part, title: target.value })}
      />
      <p className="note">
        Readers get what is open, in the order of its days, and nothing that is ticked off. Tasks and dates
        are written in the{' '}
        <Link className="link" to={`/${state.site.id}/plan`}>
          Plan
        </Link>
        .
      </p>
      <ul className="grid gap-2">
        {inOrderOfDays(part.entries).map((entry) => (
          <li key={entry.id} className="grid gap-1 border-t border-line pt-2">
            <p>
              {entry.what || 'Without words'}
              {entry.day !== null && <span className="note"> {roughDateForReaders(entry.day, 'en')}</span>}
            </p>
            <HeightRow
              compact
              of={entry.what || 'this entry'}
              effective={{
                chosen: entry.height,
                height: lowest([ofPart.height, entry.height]),
                heldBy: heightLevel(entry.height) > heightLevel(ofPart.height) ? ofPart.heldBy : null,
              }}
              onChange={(height) =>
                onChange({
                  ...part,
                  entries: part.entries.map((one) => (one.id === entry.id ? { ...one, height } : one)),
                })
              }
            />
          </li>
        ))}
      </ul>
    </div>
  );
}
