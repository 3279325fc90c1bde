import { useId, useState } from 'react';
import { type Checklist, toldLines } from '#core/check/lists/checklist.ts';
import { checklistFile, readChecklist } from '#core/check/lists/checklist-file.ts';
import { starterList } from '#core/check/lists/starter-list.ts';
import { ChecklistEditor } from '../lists/checklist-editor.tsx';
import { newId } from '../parts/new-id.ts';
import { Button } from '../ui/button.tsx';
import { notice, problemNotice } from '../ui/notice.ts';
import { fileNameOf, saveText } from '../ui/save-text.ts';

/** Of a file that is a list, however long its lines are. */
const mostBytes = 200_000;

/** The list that a group keeps: written here, or taken in from a file. */
export function GroupListField({
  list,
  onChange,
}: {
  list: Checklist | null;
  onChange: (list: Checklist | null) => void;
}) {
  const id = useId();
  const [writing, setWriting] = useState(false);
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.size > mostBytes) return problemNotice(`${file.name} is too big to be a list.`);
    const read = readChecklist(await file.text(), newId);
    if ('problem' in read) return problemNotice(`${file.name}: ${read.problem}`);
    onChange(read.list);
    notice(`${read.list.name} is taken in.`);
  };
  if (list && writing)
    return (
      <>
        <ChecklistEditor list={list} onChange={onChange} />
        <Button small className="justify-self-start" onClick={() => setWriting(false)}>
          Done
        </Button>
      </>
    );
  if (list)
    return (
      <>
        <div className="grid gap-2 bg-raised p-4 shadow-1">
          <b>{list.name || 'A list'}</b>
          <ol className="grid list-decimal gap-1 ps-5">
            {toldLines(list).map(({ id: line, text, essential }) => (
              <li key={line} className="[overflow-wrap:anywhere]">
                {text}
                {!essential && <span className="note"> extra</span>}
              </li>
            ))}
          </ol>
          {toldLines(list).length === 0 && <p className="note">Nothing stands in it yet.</p>}
        </div>
        <p className="flex flex-wrap gap-2">
          <Button small onClick={() => setWriting(true)}>
            Change the list
          </Button>
          <Button
            small
            disabled={toldLines(list).length === 0}
            onClick={() => saveText(`${fileNameOf(list.name || 'list')}.list.json`, checklistFile(list))}
          >
            Hand it on as a file
          </Button>
          <Button
            small
            look="bare"
            onClick={() => {
              onChange(null);
              notice('The group keeps no list any more.', {
                action: { label: 'Undo', onClick: () => onChange(list) },
              });
            }}
          >
            Take it off
          </Button>
        </p>
      </>
    );
  return (
    <div className="grid justify-items-start gap-3">
      <p className="flex flex-wrap gap-2">
        <Button small onClick={() => onChange(starterList(newId))}>
          Begin with a list
        </Button>
        <Button
          small
          onClick={() => {
            onChange({ id: newId(), name: '', by: '', evidence: 0, lines: [] });
            setWriting(true);
          }}
        >
          An empty list
        </Button>
      </p>
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
  );
}
