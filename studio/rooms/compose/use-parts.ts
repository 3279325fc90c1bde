import { useMemo } from 'react';
import { toast } from 'sonner';
import type { Page } from '#core/content/page.ts';
import type { Part, PartKind } from '#core/content/part.ts';
import { useSite } from '../../api/site-context.tsx';
import { partNames } from './part-words.ts';

function newPart(kind: PartKind, pictures: readonly string[] = []): Part {
  const base = { id: crypto.randomUUID().slice(0, 13), height: 'public' as const };
  switch (kind) {
    case 'words':
      return { ...base, kind, text: { type: 'doc', content: [] } };
    case 'picture':
      return { ...base, kind, material: pictures[0] ?? null, width: 'wide' };
    case 'gallery':
      return { ...base, kind, title: '', pictures: [...pictures] };
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
      insert: (kind: PartKind, at: number, pictures: readonly string[] = []): string => {
        const part = newPart(kind, pictures);
        set(
          [...page.parts.slice(0, at), part, ...page.parts.slice(at)],
          `${partNames[kind]} tied`,
          `insert ${part.id}`,
        );
        return part.id;
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
