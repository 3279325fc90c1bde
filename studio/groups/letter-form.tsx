import { Check } from 'lucide-react';
import { useState } from 'react';
import type { ClassEntry } from '#contract/groups.ts';
import {
  type Level,
  levelWords,
  mostLetterWords,
  mostLineWords,
  type Returned,
} from '#core/groups/given-back.ts';
import type { GroupList } from '#core/groups/group.ts';
import { Button } from '../ui/button.tsx';
import { notice } from '../ui/notice.ts';
import { Segments } from '../ui/segments.tsx';
import { TextField } from '../ui/text-field.tsx';

const levels: { value: Level | 'none'; name: string }[] = [
  { value: 'none', name: 'Nothing said' },
  ...(Object.keys(levelWords) as Level[]).map((value) => ({ value, name: levelWords[value] })),
];
const nothing = { level: null, words: '' };

interface LetterFormProps {
  entry: ClassEntry;
  list: GroupList | null;
  onWrite: (returned: Returned, give: boolean, done: () => void) => void;
}

/** What is said of what somebody handed in: a level and words to each line, and words to the whole, given back as one letter. */
export function LetterForm({ entry, list, onWrite }: LetterFormProps) {
  const [returned, setReturned] = useState<Returned>(entry.writing);
  const [kept, setKept] = useState(returned);
  const { name, ticked } = entry;
  const said = (line: string) =>
    (Object.hasOwn(returned.lines, line) ? returned.lines[line] : null) ?? nothing;
  const keep = (next: Returned) => {
    setKept(next);
    onWrite(next, false, () => undefined);
  };
  const put = (line: string, more: Partial<{ level: Level | null; words: string }>): Returned => ({
    ...returned,
    lines: { ...returned.lines, [line]: { ...said(line), ...more } },
  });
  const isEmpty =
    returned.words.trim() === '' &&
    Object.values(returned.lines).every(({ level, words }) => level === null && words.trim() === '');
  return (
    <form
      className="grid gap-5 bg-raised p-4 shadow-1"
      aria-label={`The letter to ${name}`}
      // What is written is kept whenever a field is left.
      onBlur={() => returned !== kept && keep(returned)}
      onSubmit={(event) => {
        event.preventDefault();
        if (isEmpty) return;
        setKept(returned);
        onWrite(returned, true, () => notice(`${name} has your letter now.`));
      }}
    >
      <p className="note">
        {name} reads none of it before you give it back. What you write is kept when you leave a field.
      </p>
      {list && (
        <ol className="grid gap-4">
          {list.lines.map(({ id, text }, at) => (
            <li key={id} className="grid gap-2 border-t border-line pt-3">
              <p className="[overflow-wrap:anywhere]">
                <b>{text}</b>
                {ticked?.includes(id) && (
                  <span className="ml-2 inline-flex items-center gap-1 text-s text-ink-2">
                    <Check size={14} aria-hidden="true" />
                    ticked by {name}
                  </span>
                )}
              </p>
              <Segments
                label={`How far line ${at + 1} is`}
                className="justify-self-start"
                value={said(id).level ?? 'none'}
                options={levels}
                onChange={(level) => {
                  const next = put(id, { level: level === 'none' ? null : level });
                  setReturned(next);
                  keep(next);
                }}
              />
              <TextField
                label={`Words to line ${at + 1}`}
                value={said(id).words}
                most={mostLineWords}
                rows={1}
                onChange={(words) => setReturned(put(id, { words }))}
              />
            </li>
          ))}
        </ol>
      )}
      <TextField
        label="To the whole"
        value={returned.words}
        most={mostLetterWords}
        rows={4}
        onChange={(words) => setReturned({ ...returned, words })}
      />
      <p className="flex flex-wrap items-baseline gap-3">
        <Button type="submit" look="ink" disabled={isEmpty}>
          {entry.givenBack ? 'Give it back again' : 'Give it back'}
        </Button>
        {entry.givenBack && <span className="note">It takes the place of the letter before.</span>}
      </p>
    </form>
  );
}
