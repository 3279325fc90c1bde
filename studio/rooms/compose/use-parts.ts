import { useMemo } from 'react';
import { toast } from 'sonner';
import type { Page } from '#core/content/page.ts';
import type { Part, PartKind } from '#core/content/part.ts';
import { useSite } from '../../api/site-context.tsx';
import { partNames } from './part-words.ts';

function newPart(kind: PartKind, materials: readonly string[] = []): Part {
  const base = { id: crypto.randomUUID().slice(0, 13), height: 'public' as const };
  switch (kind) {
    case 'words':
      return { ...base, kind, text: { type: 'doc', content: [] } };
    case 'picture':
      return { ...base, kind, material: materials[0] ?? null, width: 'wide' };
    case 'gallery':
      return { ...base, kind, title: '', pictures: [...materials] };
    case 'document':
      return { ...base, kind, material: materials[0] ?? null, download: false };
    case 'sound':
    case 'clip':
      return { ...base, kind, material: materials[0] ?? null };
  }
}

/** What can be done to the parts of a page; every one of them can be undone. */
export function useParts(page: Page) {
  const { changePage } = useSite();
  return useMemo(() => {
    const where = page.title || 'a page';
    const set = (parts: Part[], label: string, step: string) =>
      changePage(page.id, { parts }, `${label} in ${where}`, `${page.id} ${step}`);
    return {
      /** Changes one part; quick successive changes of the same kind are one step of undo. */
      change: (part: Part) =>
        set(
          page.parts.map((one) => (one.id === part.id ? part : one)),
          partNames[part.kind],
          `part ${part.id}`,
        ),
      order: (parts: Part[], moved: string) => set(parts, 'Order of parts', `order ${moved} ${Date.now()}`),
      /** Puts other parts in the place of one. */
      replace: (id: string, by: readonly Part[]) =>
        set(
          page.parts.flatMap((part) => (part.id === id ? [...by] : [part])),
          'Words of a document',
          `replace ${id}`,
        ),
      insert: (kind: PartKind, at: number, materials: readonly string[] = []): string => {
        const part = newPart(kind, materials);
        set(
          [...page.parts.slice(0, at), part, ...page.parts.slice(at)],
          `${partNames[kind]} tied`,
          `insert ${part.id}`,
        );
        return part.id;
      },
      /** Several parts at one place, as one step; the id of the first. */
      insertAll: (
        wanted: readonly { kind: PartKind; materials: readonly string[] }[],
        at: number,
      ): string => {
        const made = wanted.map(({ kind, materials }) => newPart(kind, materials));
        const [first] = made;
        set(
          [...page.parts.slice(0, at), ...made, ...page.parts.slice(at)],
          made.length === 1 && first ? `${partNames[first.kind]} tied` : `${made.length} parts tied`,
          `insert ${first?.id ?? ''}`,
        );
        return first?.id ?? '';
      },
      remove: (id: string) => {
        const part = page.parts.find((one) => one.id === id);
        if (!part) return;
        set(
          page.parts.filter((one) => one.id !== id),
          `${partNames[part.kind]} taken off`,
          `remove ${id}`,
        );
        toast(`${partNames[part.kind]} taken off. Undo brings it back.`);
      },
    };
  }, [changePage, page]);
}
