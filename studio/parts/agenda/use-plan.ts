import { format } from 'date-fns';
import type { Id } from '#core/id.ts';
import { newMoment } from '#core/moments/new-moment.ts';
import { isShown } from '#core/pages/page.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { type Agenda, type AgendaDate, type AgendaEntry, mostEntries } from '#core/parts/agenda.ts';
import { isEmptyPart } from '#core/parts/is-empty-part.ts';
import { newPart } from '#core/parts/new-part.ts';
import type { Part } from '#core/parts/parts.ts';
import { isAgenda } from '#core/plan/agendas-of.ts';
import { useSite } from '../../api/site-context.tsx';
import { useStable } from '../../ui/use-stable.ts';
import { newId } from '../new-id.ts';

/** Today, where the maker is. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd');

/** An entry, and where it stands. */
export interface Planned {
  entry: AgendaEntry;
  page: { id: Id; name: string };
  part: Id;
}

/** Everything that is planned on the pages of a site. */
export function usePlanned(): Planned[] {
  const { state } = useSite();
  return state.pages.filter(isShown).flatMap((page) =>
    page.parts.filter(isAgenda).flatMap((agenda) =>
      agenda.entries.map((entry) => ({
        entry,
        page: { id: page.id, name: pageName(page) },
        part: agenda.id,
      })),
    ),
  );
}

/** What can be done to a plan; each step can be undone. A page gets its agenda with the first entry: its maker's own, until it is raised. */
export function usePlan() {
  const { changePage, now } = useSite();
  const once = () => `${Date.now()}`;
  const partsOf = (page: Id): readonly Part[] =>
    now()
      .pages.filter(isShown)
      .find(({ id }) => id === page)?.parts ?? [];
  /** Sets the entries of the first agenda of a page, or of a certain one. */
  const set = (
    page: Id,
    change: (entries: readonly AgendaEntry[]) => AgendaEntry[],
    label: string,
    step: string,
    part?: Id,
  ) => {
    const parts = partsOf(page);
    const found = parts.filter(isAgenda).find(({ id }) => part === undefined || id === part);
    const agenda = found ?? (newPart('agenda', newId()) as Agenda);
    const next = { ...agenda, entries: change(agenda.entries).slice(0, mostEntries) };
    changePage(
      page,
      { parts: found ? parts.map((one) => (one.id === agenda.id ? next : one)) : [...parts, next] },
      label,
      `${page} plan ${step}`,
    );
  };
  const task = (what: string, day: string | null): AgendaEntry => ({
    ...{ id: newId(), height: 'public', kind: 'task', what, day, time: null, done: null },
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  });
  return useStable({
    add: (page: Id, what: string, day: string | null) =>
      set(page, (entries) => [...entries, task(what, day)], 'A task', `add ${once()}`),
    change: ({ page, part }: Planned, entry: AgendaEntry, label: string) =>
      set(
        page.id,
        (entries) => entries.map((one) => (one.id === entry.id ? entry : one)),
        label,
        `change ${entry.id} ${label}`,
        part,
      ),
    remove: ({ page, part, entry }: Planned) =>
      set(
        page.id,
        (entries) => entries.filter(({ id }) => id !== entry.id),
        `${entry.what || 'Entry'} taken off`,
        `remove ${once()}`,
        part,
      ),
    /** Takes dates in; those that came from a file of the same name before give way to them. */
    takeIn: (page: Id, from: string, dates: readonly Omit<AgendaDate, 'id' | 'height' | 'from'>[]) =>
      set(
        page,
        (entries) => [
          ...entries.filter((one) => one.kind !== 'date' || one.from !== from),
          ...dates.map((date): AgendaDate => ({ ...date, id: newId(), height: 'public', from })),
        ],
        `Dates from ${from}`,
        `take ${once()}`,
      ),
    /** Tasks for what the outline of a page still asks for and is no task yet. @returns how many */
    fromOutline: (page: Id): number => {
      const parts = partsOf(page);
      const there = new Set(parts.filter(isAgenda).flatMap(({ entries }) => entries.map(({ what }) => what)));
      const asked = parts.flatMap((part) =>
        part.prompt && isEmptyPart(part) ? part.prompt.slice(0, 200) : [],
      );
      const fresh = asked.filter((what) => !there.has(what));
      if (fresh.length > 0)
        set(
          page,
          (entries) => [...entries, ...fresh.map((what) => task(what, null))],
          'Tasks from the outline',
          `outline ${once()}`,
        );
      return fresh.length;
    },
    /** Keeps what was done as a moment of today. @returns its id */
    asMoment: (page: Id, title: string): Id => {
      const moment = newMoment(newId(), { title: title.slice(0, 160), date: today() });
      changePage(page, { parts: [...partsOf(page), moment] }, 'A moment', `${page} moment ${once()}`);
      return moment.id;
    },
  });
}
