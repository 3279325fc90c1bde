import { useEffect, useId, useRef, useState } from 'react';
import type { Group } from '#contract/groups.ts';
import { type Checklist, toldLines } from '#core/check/lists/checklist.ts';
import { type GroupTerms, groupTermsSchema } from '#core/groups/group.ts';
import { asChecklist, withoutTicks } from '#core/groups/list-of-group.ts';
import { textFromPeople } from '#core/groups/text-from-people.ts';
import { peopleFromText } from '#core/passes/people-from-text.ts';
import { plural } from '#core/words/plural.ts';
import { useGroupChanges } from '../api/use-groups.ts';
import { Field } from '../ui/field.tsx';
import { GroupListField } from './group-list-field.tsx';
import { Part } from './part.tsx';

/** So long nothing is typed before it is kept, in ms. */
const quietMs = 700;

interface Typed {
  name: string;
  people: string;
  list: Checklist | null;
}

/** What is typed as a group keeps it. */
const termsOf = ({ name, people, list }: Typed): GroupTerms => ({
  ...{ name: name.trim(), people: peopleFromText(people) },
  list: list && toldLines(list).length > 0 ? withoutTicks(list) : null,
});

/** A group's name, its people and its list, kept by themselves as they are typed. */
export function GroupForm({ group }: { group: Group }) {
  const id = useId();
  const { keep } = useGroupChanges();
  const [typed, setTyped] = useState<Typed>(() => ({
    ...{ name: group.name, people: textFromPeople(group.people) },
    list: group.list && asChecklist(group.list),
  }));
  const terms = termsOf(typed);
  const fault = groupTermsSchema.safeParse(terms).error?.issues[0]?.message ?? null;
  const waiting = useRef<{ timer: number; send: () => void } | null>(null);
  const { mutate } = keep;
  /** What is typed by now, also for a button that was drawn before it was. */
  const latest = useRef(typed);
  const change = (more: Partial<Typed>) => {
    const next = { ...latest.current, ...more };
    latest.current = next;
    setTyped(next);
    window.clearTimeout(waiting.current?.timer);
    const now = termsOf(next);
    if (!groupTermsSchema.safeParse(now).success) {
      waiting.current = null;
      return;
    }
    const send = () => {
      waiting.current = null;
      mutate({ id: group.id, terms: now });
    };
    waiting.current = { timer: window.setTimeout(send, quietMs), send };
  };
  // Whoever leaves the page at once has it kept all the same.
  useEffect(() => {
    const settle = () => {
      window.clearTimeout(waiting.current?.timer);
      waiting.current?.send();
    };
    window.addEventListener('pagehide', settle);
    return () => {
      window.removeEventListener('pagehide', settle);
      settle();
    };
  }, []);
  const said = keep.error
    ? keep.error.message
    : keep.isPending
      ? 'Saving'
      : keep.isSuccess
        ? 'All saved'
        : '';
  return (
    <>
      <Part title="People" note="Only you see them. They have no account by this, and nobody is written to.">
        <Field
          label="Name of the group"
          value={typed.name}
          maxLength={80}
          problem={terms.name === '' ? 'Name the group.' : undefined}
          onChange={({ target }) => change({ name: target.value })}
        />
        <div className="grid gap-2">
          <label className="field-name" htmlFor={id}>
            Who is in it <em>a line each, or a table with names first</em>
          </label>
          <textarea
            id={id}
            className="input"
            rows={Math.min(12, Math.max(4, terms.people.length + 1))}
            value={typed.people}
            maxLength={100_000}
            onChange={({ target }) => change({ people: target.value })}
          />
          <p className="flex flex-wrap items-baseline gap-x-3">
            <span className="note">{plural(terms.people.length, 'person', 'people')}</span>
            <label className="link cursor-pointer has-focus-visible:shadow-(--ring)">
              <input
                type="file"
                className="sr-only"
                accept=".csv,.txt,.tsv,text/csv,text/plain"
                onChange={({ target }) => {
                  const [file] = target.files ?? [];
                  void file?.text().then((people) => change({ people }));
                  target.value = '';
                }}
              />
              Take them from a file
            </label>
            <span className={keep.error ? 'field-problem' : 'note'} role="status">
              {said}
            </span>
          </p>
          {fault !== null && terms.name !== '' && (
            <p className="field-problem" role="alert">
              {fault}
            </p>
          )}
        </div>
      </Part>
      <Part
        title="Its list"
        note="What you want to have looked at before work is shown. Who joins the class page can take it into their Check."
      >
        <GroupListField list={typed.list} onChange={(list) => change({ list })} />
      </Part>
    </>
  );
}
