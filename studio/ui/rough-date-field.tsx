import { useId } from 'react';
import { roughDateAs } from '#core/dates/rough-date-as.ts';
import { type DatePrecision, daysOfDate, precisionOf, roughDateSchema } from '#core/dates/rough-date.ts';
import { Segments } from './segments.tsx';
import { Select } from './select.tsx';

const precisions: { value: DatePrecision; name: string }[] = [
  { value: 'day', name: 'Day' },
  { value: 'week', name: 'Week' },
  { value: 'month', name: 'Month' },
  { value: 'season', name: 'Season' },
  { value: 'year', name: 'Year' },
  { value: 'between', name: 'Between' },
];
const seasons = ['Spring', 'Summer', 'Autumn', 'Winter'];
const months = Array.from({ length: 12 }, (_, month) =>
  new Date(2025, month, 1).toLocaleString('en-GB', { month: 'long' }),
);

interface RoughDateFieldProps {
  date: string;
  onChange: (date: string) => void;
}

/** When something was, as exactly as its maker knows it. */
export function RoughDateField({ date, onChange }: RoughDateFieldProps) {
  const id = useId();
  const precision = precisionOf(date);
  const span = daysOfDate(date);
  const set = (next: string) => {
    // Half a date is being typed: it is kept once it is one.
    if (roughDateSchema.safeParse(next).success) onChange(next);
  };
  const day = (value: string, label: string, change: (day: string) => void) => (
    <input
      type="date"
      className="input w-auto"
      aria-label={label}
      value={value}
      onChange={({ target }) => {
        if (target.value) change(target.value);
      }}
    />
  );
  const year = (value: string, change: (year: string) => void) => (
    <input
      type="number"
      className="input w-24"
      aria-label="Year"
      min="1900"
      max="2199"
      value={Number(value)}
      onChange={({ target }) => {
        if (/^(19|20|21)\d\d$/.test(target.value)) change(target.value);
      }}
    />
  );
  const [y = '', part = ''] = date.split('-');
  const fields = () => {
    switch (precision) {
      case 'day':
        return day(date, 'Day', set);
      case 'week':
        return day(span.first, 'A day of the week', (any) =>
          set(roughDateAs('week', { first: any, last: any })),
        );
      case 'month':
        return (
          <>
            <Select
              label="Month"
              className="input w-auto"
              value={part}
              options={months.map((name, n) => ({ value: String(n + 1).padStart(2, '0'), name }))}
              onChange={(month) => set(`${y}-${month}`)}
            />
            {year(y, (next) => set(`${next}-${part}`))}
          </>
        );
      case 'season':
        return (
          <>
            <Select
              label="Season"
              className="input w-auto"
              value={part}
              options={seasons.map((name, n) => ({ value: String(21 + n), name }))}
              onChange={(season) => set(`${y}-${season}`)}
            />
            {year(y, (next) => set(`${next}-${part}`))}
          </>
        );
      case 'year':
        return year(date, set);
      case 'between':
        return (
          <>
            {day(span.first, 'First day', (first) =>
              set(`${first}/${first > span.last ? first : span.last}`),
            )}
            <span className="self-center">to</span>
            {day(span.last, 'Last day', (last) => set(`${last < span.first ? last : span.first}/${last}`))}
          </>
        );
    }
  };
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
      <div className="grid gap-1" role="group" aria-labelledby={`${id}-when`}>
        <span className="field-name" id={`${id}-when`}>
          When
        </span>
        <div className="flex flex-wrap gap-2">{fields()}</div>
      </div>
      <div className="grid gap-1">
        <span className="field-name">As exactly as you know</span>
        <Segments
          label="As exactly as you know"
          value={precision}
          options={precisions}
          onChange={(next) => onChange(roughDateAs(next, span))}
        />
      </div>
    </div>
  );
}
