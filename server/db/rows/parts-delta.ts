import type { Part } from '#core/parts/parts.ts';
import { type PartsChange, partsChange, withPartsChange } from '#core/parts/parts-change.ts';
import type { FieldDelta } from './field-delta.ts';

/** Parts are recorded one by one: a word in one of forty costs what that one part takes. */
export const partsDelta: FieldDelta<Part[], PartsChange> = {
  of: partsChange,
  inverse: ({ set, order, was }) => ({ set: was.parts, order: was.order, was: { parts: set, order } }),
  apply: (current, change) => {
    const { parts, conflicts } = withPartsChange(current, change);
    return conflicts.length > 0 ? null : parts;
  },
};
