import { type Checklist, toldLines } from '../check/lists/checklist.ts';
import { type Progress, progressOf } from '../check/lists/progress.ts';
import type { Id } from '../id.ts';
import type { GroupList } from './group.ts';

/** A list as a group keeps it: what is said in it, and nobody's ticks. */
export const withoutTicks = ({ id, name, by, evidence, ...list }: Checklist): GroupList => ({
  ...{ id, name, by, evidence },
  lines: toldLines({ lines: list.lines }).map(({ done: _done, ...line }) => line),
});

/** The list of a group as a site takes it: nothing is ticked, and each line is known by the id it has in the group. */
export const asChecklist = (list: GroupList): Checklist => ({
  ...list,
  lines: list.lines.map((line) => ({ ...line, done: false })),
});

/** How far somebody says they are with the list of a group. @param ticked ids of lines */
export function progressSaid(list: GroupList, ticked: readonly Id[]): Progress {
  const lines = list.lines.map((line) => ({ ...line, rule: null, done: ticked.includes(line.id) }));
  return progressOf({ ...list, lines }, () => null);
}
