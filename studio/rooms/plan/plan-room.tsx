import { useId, useState } from 'react';
import { useNavigate } from 'react-router';
import { inOrderOfDays, mostEntries } from '#core/parts/agenda.ts';
import { isShown } from '#core/pages/page.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { type Nearness, nearnessOf } from '#core/plan/plan-groups.ts';
import { plural } from '#core/words/plural.ts';
import { useSite } from '../../api/site-context.tsx';
import { readCalendarFile } from '../../parts/agenda/read-calendar-file.ts';
import { type Planned, today, usePlan, usePlanned } from '../../parts/agenda/use-plan.ts';
import { Button } from '../../ui/button.tsx';
import { notice, problemNotice } from '../../ui/notice.ts';
import { SaveWords } from '../../ui/save-words.tsx';
import { SelectField } from '../../ui/select.tsx';
import { AddTask } from './add-task.tsx';
import { PlanFeed } from './plan-feed.tsx';
import { PlannedRow } from './planned-row.tsx';

const groups: { of: Nearness; name: string; words?: string }[] = [
  { of: 'late', name: 'Slipped', words: 'Their day has passed. Give them another one, or let them go.' },
  { of: 'this-week', name: 'In the next seven days' },
  { of: 'later', name: 'Later' },
  { of: 'no-day', name: 'Without a day' },
];

/** What is still ahead; dates that are over are not. */
const isAhead = ({ entry }: Planned, now: string): boolean =>
  entry.kind === 'task' ? entry.done === null : (entry.until ?? entry.day ?? now) >= now;

/** What is to be done on all pages of a site, and what takes place meanwhile. */
export function PlanRoom() {
  const { state } = useSite();
  const navigate = useNavigate();
  const planned = usePlanned();
  const steps = usePlan();
  const base = `/${state.site.id}`;
  const file = useId();
  const pages = state.pages.filter(isShown).filter(({ archived }) => !archived);
  const inOrder = [
    ...pages.filter((page) => rulesOfPage(page).isFront),
    ...pages.filter((page) => !rulesOfPage(page).isFront),
  ];
  const [chosen, setChosen] = useState(inOrder[0]?.id ?? '');
  const page = inOrder.find(({ id }) => id === chosen) ?? inOrder[0];
  const now = today();
  const sorted = inOrderOfDays(planned.map((one) => ({ ...one, day: one.entry.day, time: one.entry.time })));
  const ahead = sorted.filter((one) => isAhead(one, now));
  const done = sorted.filter(({ entry }) => entry.kind === 'task' && entry.done !== null);
  const hasOutline = page?.parts.some(({ prompt }) => prompt !== undefined) ?? false;

  const tick = (one: Planned, isDone: boolean) => {
    const { entry } = one;
    if (entry.kind !== 'task') return;
    steps.change(one, { ...entry, done: isDone ? now : null }, isDone ? 'Ticked off' : 'Open again');
    if (isDone)
      notice(`“${entry.what}” is done.`, {
        action: {
          label: 'Keep it as a moment',
          onClick: () => {
            const moment = steps.asMoment(one.page.id, entry.what);
            void navigate(`${base}/projects/${one.page.id}/moments?moment=${moment}`);
          },
        },
        duration: 12_000,
      });
  };
  const takeIn = async (brought: File) => {
    if (!page) return;
    try {
      const { dates, left } = await readCalendarFile(brought, mostEntries);
      if (dates.length === 0)
        return problemNotice(`Nothing in ${brought.name} takes place in the last month or the next 13.`);
      steps.takeIn(page.id, brought.name.slice(0, 120), dates);
      const others = left > 0 ? ` ${left} more than a month back or 13 ahead, or too many, stayed out.` : '';
      notice(`${plural(dates.length, 'date')} taken in from ${brought.name}.${others}`);
    } catch (error) {
      problemNotice(error instanceof Error ? error.message : 'This calendar cannot be read.');
    }
  };
  const row = (one: Planned) => (
    <PlannedRow
      key={`${one.part} ${one.entry.id}`}
      planned={one}
      base={base}
      onChange={(entry, label) => steps.change(one, entry, label)}
      onTick={(isDone) => tick(one, isDone)}
      onRemove={() => steps.remove(one)}
    />
  );
  return (
    <div className="grid content-start gap-6 px-5 pt-5 pb-28 md:px-8">
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2">
        <h1>Plan</h1>
        <SaveWords />
      </header>
      <section className="grid max-w-4xl gap-3" aria-label="Add to the plan">
        <div className="flex flex-wrap items-end gap-3">
          <div className="w-60 max-w-full">
            <SelectField
              name="For"
              hint="front page: the whole site"
              value={page?.id ?? ''}
              options={inOrder.map((one) => ({ value: one.id, name: pageName(one) }))}
              onChange={setChosen}
            />
          </div>
          {page && hasOutline && (
            <Button
              onClick={() => {
                const many = steps.fromOutline(page.id);
                notice(
                  many > 0
                    ? `${plural(many, 'task')} from what its outline still asks.`
                    : 'Its outline asks for nothing more.',
                );
              }}
            >
              Tasks from its outline
            </Button>
          )}
          <Button asChild>
            <label htmlFor={file} className="cursor-pointer has-focus-visible:shadow-(--ring)">
              <input
                id={file}
                type="file"
                className="sr-only"
                accept=".ics,text/calendar"
                onChange={({ target }) => {
                  const [brought] = target.files ?? [];
                  if (brought) void takeIn(brought);
                  target.value = '';
                }}
              />
              Dates from a calendar file
            </label>
          </Button>
        </div>
        <AddTask onAdd={(what, day) => page && steps.add(page.id, what, day)} />
      </section>
      <div className="grid max-w-4xl gap-5">
        {ahead.length === 0 && (
          <p className="max-w-prose text-base leading-6 text-ink-2">
            Nothing is planned. A task needs a few words, and a day if it has one. It is yours alone until you
            raise the agenda of its page.
          </p>
        )}
        {groups.map(({ of, name, words }) => {
          // What takes place over several days and has begun has not slipped.
          const own = ahead.filter(({ entry }) => {
            const near = nearnessOf(entry.day, now);
            return (near === 'late' && entry.kind === 'date' ? 'this-week' : near) === of;
          });
          if (own.length === 0) return null;
          return (
            <section key={of} aria-label={name}>
              <h2>{name}</h2>
              {words && <p className="note">{words}</p>}
              <ul className="mt-1">{own.map(row)}</ul>
            </section>
          );
        })}
        {done.length > 0 && (
          <details>
            <summary className="min-h-9 cursor-pointer font-firm">{plural(done.length, 'task')} done</summary>
            <ul>{done.map(row)}</ul>
          </details>
        )}
      </div>
      <PlanFeed site={state.site.id} />
    </div>
  );
}
