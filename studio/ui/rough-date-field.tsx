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
const months = Array.from({ length: 12 }, (_, month) => ({
  value: String(month + 1).padStart(2, '0'),
  name: new Date(2025, month, 1).toLocaleString('en-GB', { month: 'long' }),
}));
/** Written as ISO 8601-2 (EDTF) does: 21 to 24. */
const seasons = ['Spring', 'Summer', 'Autumn', 'Winter'].map((name, n) => ({ value: String(21 + n), name }));

interface RoughDateFieldProps {
  date: string;
  onChange: (date: string) => void;
}

interface DayInputProps {
  label: string;
  day: string;
  onChange: (day: string) => void;
}

const DayInput = ({ label, day, onChange }: DayInputProps) => (
  <input
    type="date"
    className="input w-auto"
    aria-label={label}
    value={day}
    onChange={({ target }) => {
      if (target.value) onChange(target.value);
    }}
  />
);

interface YearInputProps {
  year: string;
  onChange: (year: string) => void;
}

const YearInput = ({ year, onChange }: YearInputProps) => (
  <input
    type="number"
    className="input w-24"
    aria-label="Year"
    min="1900"
    max="2199"
    value={Number(year)}
    onChange={({ target }) => {
      if (/^(19|20|21)\d\d$/.test(target.value)) onChange(target.value);
    }}
  />
);

interface PartOfYearInputProps extends RoughDateFieldProps {
  label: string;
  options: { value: string; name: string }[];
}

/** A month or a season of a year: written YYYY-NN both. */
function PartOfYearInput({ date, onChange, label, options }: PartOfYearInputProps) {
  const [year = '', part = ''] = date.split('-');
  return (
    <>
      <Select
        label={label}
        className="input w-auto"
        value={part}
        options={options}
        onChange={(next) => onChange(`${year}-${next}`)}
      />
      <YearInput year={year} onChange={(next) => onChange(`${next}-${part}`)} />
    </>
  );
}

function BetweenInput({ date, onChange }: RoughDateFieldProps) {
  const { first, last } = daysOfDate(date);
  return (
    <>
      <DayInput
        label="First day"
        day={first}
        onChange={(next) => onChange(`${next}/${next > last ? next : last}`)}
      />
      <span className="self-center">to</span>
      <DayInput
        label="Last day"
        day={last}
        onChange={(next) => onChange(`${next < first ? next : first}/${next}`)}
      />
    </>
  );
}

/** The fields in which a date of this precision is typed. */
function DateInputs({ date, onChange }: RoughDateFieldProps) {
  switch (precisionOf(date)) {
    case 'day':
      return <DayInput label="Day" day={date} onChange={onChange} />;
    case 'week':
      return (
        <DayInput
          label="A day of the week"
          day={daysOfDate(date).first}
          onChange={(any) => onChange(roughDateAs('week', { first: any, last: any }))}
        />
      );
    case 'month':
      return <PartOfYearInput label="Month" options={months} {...{ date, onChange }} />;
    case 'season':
      return <PartOfYearInput label="Season" options={seasons} {...{ date, onChange }} />;
    case 'year':
      return <YearInput year={date} onChange={onChange} />;
    case 'between':
      return <BetweenInput {...{ date, onChange }} />;
  }
}

/** When something was, as exactly as its maker knows it. */
export function RoughDateField({ date, onChange }: RoughDateFieldProps) {
  const id = useId();
  const set = (next: string) => {
    // Half a date is being typed: it is kept once it is one.
    if (roughDateSchema.safeParse(next).success) onChange(next);
  };
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-3">
      <div className="grid gap-1" role="group" aria-labelledby={`${id}-when`}>
        <span className="field-name" id={`${id}-when`}>
          When
        </span>
        <div className="flex flex-wrap gap-2">
          <DateInputs date={date} onChange={set} />
        </div>
      </div>
      <div className="grid gap-1">
        <span className="field-name">As exactly as you know</span>
        <Segments
          label="As exactly as you know"
          value={precisionOf(date)}
          options={precisions}
          onChange={(next) => onChange(roughDateAs(next, daysOfDate(date)))}
        />
      </div>
    </div>
  );
}
