import type { Part } from '#core/parts/parts.ts';
import { type PartsChange, partsChange, withPartsChange } from '#core/parts/parts-change.ts';
import { fromStored, stored } from '#core/stored/stored-json.ts';
import { storedPart } from '#core/stored/stored-kinds.ts';
import type { FieldDelta } from './field-delta.ts';

const each = ({ set, order, was }: PartsChange, part: (one: Part) => Part): PartsChange => ({
  set: set.map(part),
  order,
  was: { parts: was.parts.map(part), order: was.order },
});

/** Parts are recorded one by one, each with its version: a word in one of forty costs what that one part takes. */
export const partsDelta: FieldDelta<Part[], PartsChange> = {
  of: (before, after) => each(partsChange(before, after), (part) => stored(storedPart, part)),
  inverse: ({ set, order, was }) => ({ set: was.parts, order: was.order, was: { parts: set, order } }),
  apply: (current, change) => {
    const { parts, conflicts } = withPartsChange(
      current,
      each(change, (part) => fromStored(storedPart, part)),
    );
    return conflicts.length > 0 ? null : parts;
  },
};
