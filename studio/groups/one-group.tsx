import { Trash2 } from 'lucide-react';
import { useNavigate } from 'react-router';
import type { Group } from '#contract/groups.ts';
import { useGroupChanges } from '../api/use-groups.ts';
import { Button } from '../ui/button.tsx';
import { ClassBoard } from './class-board.tsx';
import { ClassPart } from './class-part.tsx';
import { GroupForm } from './group-form.tsx';

/** One group: who handed in, if it is a class; who is in it, the list it keeps, and its class page. */
export function OneGroup({ group }: { group: Group }) {
  const navigate = useNavigate();
  const { remove } = useGroupChanges();
  return (
    <div className="grid min-w-0 gap-8">
      {group.classPage && <ClassBoard group={group} page={group.classPage} />}
      <GroupForm group={group} />
      <ClassPart group={group} />
      <p className="border-t border-line pt-5">
        <Button
          look="danger"
          small
          disabled={remove.isPending}
          onClick={() => remove.mutate(group, { onSuccess: () => void navigate('/groups') })}
        >
          <Trash2 size={15} aria-hidden="true" />
          Take this group away
        </Button>
        <span className="note ml-3">
          {group.classPage && group.classPage.endedAt === null
            ? 'Nobody joins any more; what was shared with the class stays as it is. End the class page first to close that.'
            : 'Passes that were made for it stay as they are.'}
        </span>
      </p>
    </div>
  );
}
