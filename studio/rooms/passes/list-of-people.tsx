import { useId } from 'react';
import { Link } from 'react-router';
import { plural } from '#core/words/plural.ts';
import { textFromPeople } from '#core/groups/text-from-people.ts';
import type { PassPerson } from '#core/passes/people-from-text.ts';
import { useGroups } from '../../api/use-groups.ts';
import { SelectField } from '../../ui/select.tsx';

interface ListOfPeopleProps {
  text: string;
  people: readonly PassPerson[];
  onChange: (text: string) => void;
}

/** People from a pasted list or a file, each of whom gets a pass. */
export function ListOfPeople({ text, people, onChange }: ListOfPeopleProps) {
  const id = useId();
  const groups = (useGroups().data?.groups ?? []).filter(({ people: all }) => all.length > 0);
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
      {groups.length > 0 && (
        <SelectField
          name="Or those of a group"
          value=""
          options={[
            { value: '', name: 'Choose a group' },
            ...groups.map(({ id: value, name, people: all }) => ({
              value,
              name: `${name}, ${plural(all.length, 'person', 'people')}`,
            })),
          ]}
          onChange={(chosen) => {
            const group = groups.find((one) => one.id === chosen);
            if (group) onChange(textFromPeople(group.people));
          }}
        />
      )}
      <p className="note">
        <Link className="link" to="/groups">
          Groups
        </Link>{' '}
        keep people for the next time.
      </p>
    </div>
  );
}
