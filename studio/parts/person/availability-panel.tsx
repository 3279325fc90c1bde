import { readPartialDate } from '#core/dates/read-partial-date.ts';
import { DateField } from '../../ui/date-field.tsx';
import { Field } from '../../ui/field.tsx';
import type { PartPanelProps } from '../part-settings.ts';

/** A whole day; months and years are too rough to count down to. */
const readDay = (text: string): string | null => {
  const date = readPartialDate(text);
  return date?.length === 10 ? date : null;
};
const day = {
  read: readDay,
  wrong: 'Write a whole day, for example 15 June 2027.',
  hint: 'a day',
};

/** What the maker is free for, and between which days. */
export function AvailabilityPanel({ part, onChange }: PartPanelProps<'availability'>) {
  const { text, from, to } = part;
  const turned = from !== null && to !== null && to <= from;
  return (
    <div className="grid gap-3">
      <Field
        label="Free for"
        hint="a placement, two days a week"
        value={text}
        maxLength={160}
        onChange={(event) => onChange({ ...part, text: event.target.value })}
      />
      <div className="grid gap-3 sm:grid-cols-2">
        <DateField
          label="From"
          {...day}
          value={from}
          empty="now"
          onChange={(date) => onChange({ ...part, from: date })}
        />
        <DateField
          label="Until"
          {...day}
          value={to}
          empty="no end"
          onChange={(date) => onChange({ ...part, to: date })}
        />
      </div>
      {to !== null && <p className="note">It comes down by itself once that day is over.</p>}
      {turned && (
        <p className="field-problem">The last day is not after the first, so readers get the first.</p>
      )}
    </div>
  );
}
