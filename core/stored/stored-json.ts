import type { z } from 'zod';

type Fields = Record<string, unknown>;

/** How one kind of thing is kept as JSON, by whatever version of the program kept it. */
export interface StoredKind<T extends object> {
  schema: z.ZodType<T>;
  /**
   * Each leads from one version to the next: the first from 0, as data was kept before versions were written down. A
   * change of the schema that data kept before does not fit adds one here, and no SQL.
   */
  upgrades: readonly ((kept: Fields) => Fields)[];
}

/** Data kept by a newer version of the program, or damaged: it is not guessed at. */
export class Unreadable extends Error {
  override readonly name = 'Unreadable';
}

/** The version of the shape that things of a kind have now. */
export const versionOf = ({ upgrades }: Pick<StoredKind<object>, 'upgrades'>): number => upgrades.length;

/** As a thing is kept: with the version of its shape. */
export const stored = <T extends object>(kind: StoredKind<T>, thing: T): T & { v: number } => ({
  ...thing,
  v: versionOf(kind),
});

/**
 * Reads what some version kept: upgraded step by step, then checked.
 *
 * @throws Unreadable where a newer version kept it, or where it is not what any version kept
 */
export function fromStored<T extends object>({ schema, upgrades }: StoredKind<T>, kept: unknown): T {
  const { v = 0, ...fields } = { ...(kept as Fields) };
  if (typeof v !== 'number' || v > upgrades.length)
    throw new Unreadable('A newer version of Kite Wall kept this. Start that version again to open it.');
  const parsed = schema.safeParse(upgrades.slice(v).reduce((before, upgrade) => upgrade(before), fields));
  if (parsed.success) return parsed.data;
  const [issue] = parsed.error.issues;
  throw new Unreadable(`What was kept cannot be read: ${issue?.path.join('.')}: ${issue?.message}`);
}
