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
      return { ...base, kind, material, width: 'wide', link: '' };
    case 'gallery':
      return {
        ...base,
        kind,
        title: '',
        pictures: [...materials],
        layout: 'rows',
        captions: 'below',
        autoplay: false,
      };
    case 'document':
      return { ...base, kind, material, download: false };
    case 'sound':
    case 'clip':
      return { ...base, kind, material };
    case 'quote':
      return { ...base, kind, text: '', by: '' };
    case 'compare':
      return {
        ...base,
        kind,
        before: material,
        after: materials[1] ?? null,
        beforeName: 'Before',
        afterName: 'After',
      };
    case 'evidence':
      return { ...base, kind, material, what: '', why: '', shows: '' };
    case 'reflection':
      return { ...base, kind, answers: [] };
    case 'credits':
      return { ...base, kind };
    case 'contact':
      return { ...base, kind, words: '', email: '', link: '' };
    case 'link':
      return { ...base, kind, material, form: 'in-place', align: 'left' };
  }
}
