import { Pencil, Printer, Share, Trash2, Users } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import { type Checklist, toldLines } from '#core/check/lists/checklist.ts';
import { plural } from '#core/words/plural.ts';
import type { Group } from '#contract/groups.ts';
import type { LeftOf } from '#core/check/lists/progress.ts';
import { checklistFile } from '#core/check/lists/checklist-file.ts';
import { fileNameOf, saveText } from '../../../ui/save-text.ts';
import { Button } from '../../../ui/button.tsx';
import { IconButton } from '../../../ui/icon-button.tsx';
import { ChecklistEditor } from '../../../lists/checklist-editor.tsx';
import { Menu, MenuItem, MenuLabel } from '../../../ui/menu.tsx';
import { ChecklistView, type SaidToLine } from './checklist-view.tsx';

interface OneListProps {
  list: Checklist;
  leftOf: LeftOf;
  saidTo: (line: string) => readonly SaidToLine[];
  onChange: (list: Checklist, label: string) => void;
  /** Groups that could keep it. */
  groups: readonly Group[];
  onKeepWith: (group: Group) => void;
  onDelete: () => void;
}

/** One list, with what can be done with it. */
export function OneList({ list, leftOf, saidTo, groups, onChange, onKeepWith, onDelete }: OneListProps) {
  const id = useId();
  const [writing, setWriting] = useState(list.name === '' && list.lines.length === 0);
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    if (!printing) return;
    const printed = () => setPrinting(false);
    window.addEventListener('afterprint', printed);
    window.print();
    return () => window.removeEventListener('afterprint', printed);
  }, [printing]);
  const name = list.name || 'A list';
  return (
    <section
      aria-labelledby={id}
      className={`grid gap-3 bg-raised p-4 shadow-1 ${printing ? 'printed' : ''}`}
    >
      <div className="flex items-start justify-between gap-2">
        <h3 id={id} className="min-w-0 font-strong">
          {name}
          {list.by && <em className="note block font-plain not-italic">from {list.by}</em>}
          {list.evidence > 0 && (
            <em className="note block font-plain not-italic">
              asks for {plural(list.evidence, 'piece of evidence', 'pieces of evidence')} in each project
            </em>
          )}
        </h3>
        <span className="flex flex-none unprinted">
          <IconButton
            small
            label={`Hand on ${name}`}
            disabled={toldLines(list).length === 0}
            onClick={() => saveText(`${fileNameOf(name)}.list.json`, checklistFile(list))}
          >
            <Share size={16} aria-hidden="true" />
          </IconButton>
          {groups.length > 0 && (
            <Menu
              align="end"
              opener={
                <IconButton small label={`Keep ${name} with a group`} disabled={toldLines(list).length === 0}>
                  <Users size={16} aria-hidden="true" />
                </IconButton>
              }
            >
              <MenuLabel>Keep it with a group</MenuLabel>
              {groups.map((group) => (
                <MenuItem
                  key={group.id}
                  icon={Users}
                  name={group.name}
                  {...(group.list &&
                    group.list.id !== list.id && { note: `In place of ${group.list.name || 'its list'}` })}
                  onSelect={() => onKeepWith(group)}
                />
              ))}
            </Menu>
          )}
          <IconButton small label={`Print ${name}`} onClick={() => setPrinting(true)}>
            <Printer size={16} aria-hidden="true" />
          </IconButton>
          <IconButton small label={`Delete ${name}`} onClick={onDelete}>
            <Trash2 size={16} aria-hidden="true" />
          </IconButton>
        </span>
      </div>
      {writing ? (
        <ChecklistEditor list={list} onChange={(now) => onChange(now, `Words of the list ${name}`)} />
      ) : (
        <ChecklistView
          {...{ list, leftOf, saidTo }}
          onTick={(line, done) =>
            onChange(
              { ...list, lines: list.lines.map((one) => (one.id === line ? { ...one, done } : one)) },
              done ? 'A line ticked' : 'A tick taken off',
            )
          }
        />
      )}
      <Button small className="justify-self-start unprinted" onClick={() => setWriting(!writing)}>
        {!writing && <Pencil size={15} aria-hidden="true" />}
        {writing ? 'Done' : 'Change it'}
        <span className="sr-only">: {name}</span>
      </Button>
    </section>
  );
}
