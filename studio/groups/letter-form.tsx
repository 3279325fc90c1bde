import { Check } from 'lucide-react';
import { useRef, useState } from 'react';
import type { ClassEntry } from '#contract/groups.ts';
import {
  type Level,
  levelWords,
  mostLetterWords,
  mostLineWords,
  type Returned,
  returnedSchema,
} from '#core/groups/given-back.ts';
import type { GroupList } from '#core/groups/group.ts';
import { useUnsent } from '../api/use-unsent.ts';
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
  const { id: of, name, ticked, writing } = entry;
  const [unsent, setUnsent] = useUnsent(`letter ${of}`, returnedSchema);
  const [returned, setReturned] = useState<Returned>(unsent ?? writing);
  const [kept, setKept] = useState(writing);
  const newest = useRef(returned);
  const write = (next: Returned) => {
    newest.current = next;
    setReturned(next);
    setUnsent(next);
  };
  /** Hands it to the server. Once that has it, it need not be kept here, but for what was written meanwhile. */
  const send = (next: Returned, give: boolean, done?: () => void) =>
    onWrite(next, give, () => {
      setKept(next);
      if (newest.current === next) setUnsent(null);
      done?.();
    });
  const said = (line: string) =>
    (Object.hasOwn(returned.lines, line) ? returned.lines[line] : null) ?? nothing;
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
      // What is written goes to the server whenever a field is left, and is kept in this browser until it has arrived.
      onBlur={() => returned !== kept && send(returned, false)}
      onSubmit={(event) => {
        event.preventDefault();
        if (isEmpty) return;
        send(returned, true, () => notice(`${name} has your letter now.`));
      }}
    >
      <p className="note">{name} reads none of it before you give it back. What you write is kept.</p>
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
                  write(next);
                  send(next, false);
                }}
              />
              <TextField
                label={`Words to line ${at + 1}`}
                value={said(id).words}
                most={mostLineWords}
                rows={1}
                onChange={(words) => write(put(id, { words }))}
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
        onChange={(words) => write({ ...returned, words })}
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
