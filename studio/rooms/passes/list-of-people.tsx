import { useId } from 'react';
import { plural } from '#core/words/plural.ts';
import type { PassPerson } from '#core/passes/people-from-text.ts';

interface ListOfPeopleProps {
  text: string;
  people: readonly PassPerson[];
  onChange: (text: string) => void;
}

/** People from a pasted list or a file, each of whom gets a pass. */
export function ListOfPeople({ text, people, onChange }: ListOfPeopleProps) {
  const id = useId();
  return (
    <div className="grid gap-2">
      <label className="field-name" htmlFor={id}>
        Who gets one <em>a line each, or a table with names first</em>
      </label>
      <textarea
        id={id}
        className="input"
        rows={6}
        value={text}
        maxLength={100_000}
        onChange={({ target }) => onChange(target.value)}
      />
      <p className="flex flex-wrap items-baseline gap-x-3" role="status">
        <span className="note">{plural(people.length, 'pass', 'passes')}, named after them</span>
        <label className="link cursor-pointer has-focus-visible:shadow-(--ring)">
          <input
            type="file"
            className="sr-only"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            onChange={({ target }) => {
              const [file] = target.files ?? [];
              void file?.text().then(onChange);
              target.value = '';
            }}
          />
          Take them from a file
        </label>
      </p>
    </div>
  );
}
