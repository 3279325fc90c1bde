import type { CaseFacts } from '#core/pages/case-facts.ts';
import { partialDateInWords } from '#core/dates/partial-date-in-words.ts';
import { readPartialDate } from '#core/dates/read-partial-date.ts';
import { timeSpanForReaders } from '#core/dates/date-for-readers.ts';
import { DateField } from './date-field.tsx';

interface WhenFieldsProps {
  facts: Pick<CaseFacts, 'from' | 'to'>;
  /** What the dates of its pictures say. */
  suggested: Pick<CaseFacts, 'from' | 'to'> | null;
  onChange: (change: Partial<Pick<CaseFacts, 'from' | 'to'>>) => void;
}

const readMonth = (text: string): string | null => readPartialDate(text)?.slice(0, 7) ?? null;
const goesOn = /^(now|today|still|ongoing|goes on)$/i;
const wrong = 'Write a month or a year: September 2025, or 2025.';

/** From when to when, by the month, with what the pictures say about it. */
export function WhenFields({ facts, suggested, onChange }: WhenFieldsProps) {
  const { from, to } = facts;
  const differs = suggested && (suggested.from !== from || suggested.to !== to);
  return (
    <fieldset className="grid gap-2">
      <legend className="field-name">When</legend>
      <DateField
        label="From"
        hint="a month or a year"
        empty="September 2025"
        value={from}
        read={readMonth}
        wrong={wrong}
        onChange={(month) => onChange({ from: month })}
      />
      <DateField
        label="To"
        hint="or: now"
        empty={from ? 'the same month' : 'December 2025'}
        value={to}
        inWords={(month) => (month === 'now' ? 'now' : partialDateInWords(month))}
        read={(text) => (goesOn.test(text.trim()) ? 'now' : readMonth(text))}
        wrong={wrong}
        onChange={(month) => onChange({ to: month })}
      />
      {from && to && to !== 'now' && to < from && (
        <p className="field-problem">The last month is before the first, so only the first is shown.</p>
      )}
      {differs && (
        <p className="note">
          The pictures say {timeSpanForReaders(suggested.from, suggested.to, 'en')}.{' '}
          <button type="button" className="link" onClick={() => onChange(suggested)}>
            Take that
          </button>
        </p>
      )}
    </fieldset>
  );
}
