/** How a change of one field is recorded by what changed in it, where keeping it whole before and after would be long. */
export interface FieldDelta<V, D = unknown> {
  of(before: V, after: V): D;
  /** What leads back. */
  inverse(delta: D): D;
  /** The field with the change in it; null where something newer stands in its way. */
  apply(current: V, delta: D): V | null;
}
