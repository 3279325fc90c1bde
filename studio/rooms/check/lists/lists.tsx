import { useId } from 'react';
import { type Checklist, mostLists } from '#core/check/lists/checklist.ts';
import type { LeftOf } from '#core/check/lists/progress.ts';
import { readChecklist } from '#core/check/lists/checklist-file.ts';
import { starterList } from '#core/check/lists/starter-list.ts';
import type { Group } from '#contract/groups.ts';
import { asChecklist, withoutTicks } from '#core/groups/list-of-group.ts';
import { useGroupChanges, useGroups } from '../../../api/use-groups.ts';
import { SelectField } from '../../../ui/select.tsx';
import { useSite } from '../../../api/site-context.tsx';
import { useSecondLooks } from '../../../api/use-second-looks.ts';
import { useUndoNotice } from '../../../api/use-undo-notice.ts';
import { newId } from '../../../parts/new-id.ts';
import { Button } from '../../../ui/button.tsx';
import { notice, problemNotice } from '../../../ui/notice.ts';
import { OneList } from './one-list.tsx';

/** Of a file that is a list, however long its lines are. */
const mostBytes = 200_000;

/** Lists of what is looked at before the site is shown: one's own, or a tutor's. */
export function Lists({ leftOf }: { leftOf: LeftOf }) {
  const { state, now, changeSite } = useSite();
  const undoNotice = useUndoNotice();
  const id = useId();
  const { lists } = state.site;
  const { data: asked } = useSecondLooks(state.site.id);
  const saidTo = (line: string) =>
    (asked?.looks ?? []).flatMap(({ who, lines, answers }) => {
      const answer = lines.some(({ id: one }) => one === line) ? answers[line] : undefined;
      return answer ? [{ who, answer }] : [];
    });
  const groups = useGroups().data?.groups ?? [];
  /** One that is here already is not taken twice: its lines are known by their ids. */
  const kept = groups.flatMap(({ id: group, name, list }) =>
    list && lists.every((one) => one.id !== list.id) ? [{ id: group, name, list }] : [],
  );
  const { keep } = useGroupChanges();
  const keepWith = (group: Group, list: Checklist) => {
    const { id: of, name } = group;
    keep.mutate(
      { id: of, terms: { list: withoutTicks(list) } },
      {
        onSuccess: () =>
          notice(`“${name}” keeps ${list.name || 'the list'} now.`, {
            action: {
              label: 'Undo',
              onClick: () => keep.mutate({ id: of, terms: { list: group.list } }),
            },
          }),
        onError: (error) => problemNotice(error.message),
      },
    );
  };
  const isFull = lists.length >= mostLists;
  const put = (list: Checklist, label: string) =>
    changeSite({ lists: now().site.lists.map((one) => (one.id === list.id ? list : one)) }, label);
  const add = (list: Checklist) => changeSite({ lists: [...now().site.lists, list] }, 'A list added');
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > mostBytes) return problemNotice(`${file.name} is too big to be a list.`);
    const read = readChecklist(await file.text(), newId);
    if ('problem' in read) return problemNotice(`${file.name}: ${read.problem}`);
    add(read.list);
    notice(`${read.list.name} is taken in.`);
  };
  return (
    <aside aria-labelledby={`${id}-title`} className="grid content-start gap-6">
      <div>
        <h2 id={`${id}-title`} className="text-l">
          Lists
        </h2>
        <p className="note">
          Only you see them and what is ticked, unless you ask for a second look with one. Nothing waits for
          them.
        </p>
      </div>
      {lists.map((list) => (
        <OneList
          key={list.id}
          {...{ list, leftOf, saidTo, groups }}
          onKeepWith={(group) => keepWith(group, list)}
          onChange={put}
          onDelete={() => {
            changeSite({ lists: now().site.lists.filter((one) => one.id !== list.id) }, 'A list deleted');
            undoNotice(`${list.name || 'The list'} is deleted.`);
          }}
        />
      ))}
      {isFull ? (
        <p className="note">A site has at most {mostLists} lists.</p>
      ) : (
        <div className="grid justify-items-start gap-3">
          <span className="flex flex-wrap gap-2">
            {lists.length === 0 && (
              <Button small onClick={() => add(starterList(newId))}>
                Begin with a list
              </Button>
            )}
            <Button small onClick={() => add({ id: newId(), name: '', by: '', evidence: 0, lines: [] })}>
              An empty list
            </Button>
          </span>
          {kept.length > 0 && (
            <SelectField
              name="Take one that a group keeps"
              value=""
              options={[
                { value: '', name: 'Choose a group' },
                ...kept.map(({ id: value, name, list }) => ({
                  value,
                  name: `${name}: ${list.name || 'A list'}`,
                })),
              ]}
              onChange={(chosen) => {
                const group = kept.find((one) => one.id === chosen);
                if (group) add(asChecklist(group.list));
              }}
            />
          )}
          <div>
            <label className="field-name" htmlFor={id}>
              Take in a list <em>a file that somebody handed on</em>
            </label>
            <input
              id={id}
              type="file"
              accept=".json,application/json"
              className="file-field"
              onChange={({ target }) => {
                void take(target.files?.[0]);
                target.value = '';
              }}
            />
          </div>
        </div>
      )}
    </aside>
  );
}
