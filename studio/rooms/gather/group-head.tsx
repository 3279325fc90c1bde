import { useDroppable } from '@dnd-kit/core';
import type { MaterialGroup } from '#core/materials/group-materials.ts';
import { countKinds } from '../../ui/kind-names.ts';

/** The head of a group; one that is a project takes what is dropped on it. */
export function GroupHead({
  group,
  inUse,
  takes,
  onChooseAll,
}: {
  group: MaterialGroup;
  inUse: number;
  /** Materials can be dropped here. */
  takes: boolean;
  onChooseAll: () => void;
}) {
  const { setNodeRef, isOver } = useDroppable({ id: `group ${group.page ?? ''}`, disabled: !takes });
  return (
    <div
      ref={setNodeRef}
      className="group-head flex items-baseline gap-3 pt-2 pb-1 px-0 data-over:bg-sky-wash data-over:shadow-[0_0_0_2px_var(--sky)]"
      data-over={isOver || undefined}
    >
      <h2 className="text-[1.0625rem]">{group.title}</h2>
      <span className="note">
        {countKinds(group.materials)}; {inUse === 0 ? 'none' : inUse} used
      </span>
      <button type="button" className="link ml-auto text-[0.8125rem]" onClick={onChooseAll}>
        Choose all
      </button>
    </div>
  );
}
