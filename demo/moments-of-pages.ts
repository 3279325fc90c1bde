import type { Id } from '#core/id.ts';
import type { Page, ShownPage } from '#core/pages/page.ts';
import { isShown } from '#core/pages/page.ts';
import { agendaEntrySchema } from '#core/parts/agenda.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { newId } from '#server/db/new-id.ts';
import { decided, earlyAndLate, moments, planned, processes } from './moments-scenario.ts';

/** Behind what says something, before those who are named and how to write to them. */
const last = new Set(['credits', 'contact']);

/**
 * The parts of the demo's pages with what is kept of how the work came about, and with what draws it; only of pages on which there is
 * any.
 *
 * @param pages of the site
 * @param bring takes a file in that belongs to a page; its id, and the day it was taken on
 */
export async function partsWithMoments(
  pages: readonly Page[],
  bring: (page: string, file: string) => Promise<{ id: Id; day: string | null }>,
): Promise<{ page: ShownPage; parts: Part[] }[]> {
  const pageOf = new Map(pages.map((page) => [page.title, page]));
  const changed = [];
  for (const page of pages.filter(isShown)) {
    const kept = moments[page.title] ?? [];
    const process = processes[page.title];
    if (kept.length === 0 && !process) continue;
    const own: Part[] = [];
    const idOf = new Map(kept.map(({ title }) => [title, newId()]));
    for (const { files = [], phase, date, ledTo, ...told } of kept) {
      const brought = [];
      for (const file of files) brought.push(await bring(page.title, file));
      const fields = {
        ...told,
        date: date ?? brought.find(({ day }) => day !== null)?.day ?? '2025',
        phase: phase ? `phase-${phase}` : null,
        materials: brought.map(({ id }) => id),
        ledTo: idOf.get(ledTo ?? '') ?? null,
      };
      own.push({ ...newPart('moment', idOf.get(told.title) ?? newId()), ...fields } as Part);
    }
    const { of, ...drawn } = process ?? {};
    const idsOf = (titles: readonly string[]) => titles.flatMap((title) => pageOf.get(title)?.id ?? []);
    const ids = of ? idsOf(of) : null;
    const table = decided[page.title];
    const states = [];
    for (const { file, ...said } of earlyAndLate[page.title] ?? [])
      states.push({ id: newId(), ...said, material: (await bring(page.title, file)).id });
    const entries = (planned[page.title] ?? []).map((entry) =>
      agendaEntrySchema.parse({
        ...entry,
        ...{ id: newId(), height: entry.kind === 'task' ? 'private' : 'public', zone: 'Europe/London' },
      }),
    );
    const agenda = { ...newPart('agenda', newId()), height: 'public', entries } as Part;
    const compared = { ...newPart('early-late', newId()), states } as Part;
    const decisions = { ...newPart('decisions', newId()), pages: idsOf(table ?? []) } as Part;
    const part = { ...newPart('process', newId()), ...drawn, pages: ids } as Part;
    const end = page.parts.findIndex(({ kind }) => last.has(kind));
    const at = end < 0 ? page.parts.length : end;
    changed.push({
      page,
      parts: [
        ...page.parts.slice(0, at),
        ...(entries.length > 0 ? [agenda] : []),
        ...(states.length > 0 ? [compared] : []),
        ...(process ? [part] : []),
        ...(table ? [decisions] : []),
        ...page.parts.slice(at),
        ...own,
      ],
    });
  }
  return changed;
}
