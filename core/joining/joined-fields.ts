import equal from 'fast-deep-equal';

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Lays a change of some fields over a thing as it is now, whoever changed it since. Fields that hold named members, like
 * case facts, are joined member by member.
 *
 * @param was how the changed fields were before the change
 * @returns the fields to write, and the names of those that both have changed to something else
 */
export function joinedFields(
  current: Readonly<Record<string, unknown>>,
  was: Readonly<Record<string, unknown>>,
  change: Readonly<Record<string, unknown>>,
): { change: Record<string, unknown>; conflicts: string[] } {
  const joined: Record<string, unknown> = {};
  const conflicts: string[] = [];
  for (const [name, mine] of Object.entries(change)) {
    const [theirs, before] = [current[name], was[name]];
    joined[name] = mine;
    if (equal(theirs, before) || equal(theirs, mine)) continue;
    if (isRecord(mine) && isRecord(theirs) && isRecord(before)) {
      const own = Object.fromEntries(
        Object.entries(mine).filter(([member, value]) => !equal(value, before[member])),
      );
      const members = joinedFields(theirs, before, own);
      joined[name] = { ...theirs, ...members.change };
      conflicts.push(...members.conflicts.map((member) => `${name} ${member}`));
    } else conflicts.push(name);
  }
  return { change: joined, conflicts };
}
