import type { Id } from './id.ts';
import type { Part, PartKind } from './part.ts';

/** A part as it is first tied in, with the materials it starts with, if any. Parts that show one take the first. */
export function newPart(kind: PartKind, id: Id, materials: readonly Id[] = []): Part {
  const base = { id, height: 'public' as const };
  const material = materials[0] ?? null;
  switch (kind) {
    case 'words':
      return { ...base, kind, text: { type: 'doc', content: [] } };
    case 'picture':
      return { ...base, kind, material, width: 'wide' };
    case 'gallery':
      return { ...base, kind, title: '', pictures: [...materials] };
    case 'document':
      return { ...base, kind, material, download: false };
    case 'sound':
    case 'clip':
      return { ...base, kind, material };
    case 'link':
      return { ...base, kind, material, form: 'in-place', align: 'left' };
  }
}
