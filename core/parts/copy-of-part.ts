import type { Id } from '../id.ts';
import { withHeld } from './held-in.ts';
import type { Part } from './parts.ts';

/** A second part with the same content, with an id of its own and new ones for what it holds. It stands beside nothing. */
export function copyOfPart(part: Part, newId: () => Id): Part {
  const { beside: _, ...alone } = withHeld(part, (held) => ({ ...held, id: newId() }));
  return { ...alone, id: newId() };
}
