import { useState } from 'react';
import type { Group } from '#contract/groups.ts';
import { classStanding } from '#core/groups/class-standing.ts';
import { progressSaid } from '#core/groups/list-of-group.ts';
import { missingPeople } from '#core/groups/missing-people.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import { ownTimeZone } from '../api/own-time-zone.ts';
import { AskDialog } from '../ui/ask-dialog.tsx';
import { Button } from '../ui/button.tsx';
import { Loading, Trouble } from '../ui/states.tsx';
import { useNow } from '../ui/use-now.ts';
import { ClassRow } from './class-row.tsx';
import { useClass } from './use-class.ts';

/** Who joined a class, who handed in, and what is complete: a knot on a string for each. */
export function ClassBoard({ group, page }: { group: Group; page: NonNullable<Group['classPage']> }) {
  const { query, ask, end, endAll, write } = useClass(group.id);
  const now = useNow();
  const [open, setOpen] = useState<string | null>(null);
  const [ending, setEnding] = useState(false);
  if (query.isPending) return <Loading what="Fetching who handed in" />;
  if (query.error) return <Trouble error={query.error} again={() => void query.refetch()} />;
  const { entries } = query.data;
  const dueAt = page.dueAt === null ? null : new Date(page.dueAt);
  const rows = entries.map((entry) => {
    const progress = group.list && entry.ticked ? progressSaid(group.list, entry.ticked) : null;
    const handedAt = entry.handedAt === null ? null : new Date(entry.handedAt);
    const of = { handedAt, ended: entry.endedAt !== null, pages: entry.pages, progress };
    return { entry, progress, standing: classStanding(of, dueAt, now) };
  });
  const handedIn = entries.filter(({ handedAt }) => handedAt !== null).length;
  const complete = rows.filter(({ standing }) => standing.complete).length;
  const missing = missingPeople(
    group.people,
    entries.map(({ name }) => name),
  );
  return (
    <section aria-label={`Class page of ${group.name}`} className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <header className="flex flex-wrap items-baseline gap-x-4 gap-y-2">
        <h2 className="text-xl [overflow-wrap:anywhere]">{group.name}</h2>
        <p className="note" role="status">
          {page.endedAt !== null
            ? `Ended ${instantInWords(new Date(page.endedAt), ownTimeZone())}.`
            : entries.length === 0
              ? 'Nobody has joined yet.'
              : `${handedIn} of ${entries.length} handed in, ${complete} complete.`}{' '}
          {dueAt && `Due ${instantInWords(dueAt, ownTimeZone())}.`}
        </p>
        {page.endedAt === null && (
          <Button small className="ml-auto" disabled={endAll.isPending} onClick={() => setEnding(true)}>
            End the class page
          </Button>
        )}
      </header>
      {entries.length === 0 && page.endedAt === null && (
        <p className="max-w-prose text-base leading-6 text-ink-2">
          Give the link to join by to your class. Who joins stands here by the name they choose; their site
          you get once they hand it in.
        </p>
      )}
      {rows.length > 0 && (
        <ol className="relative grid">
          {rows.map(({ entry, progress, standing }) => (
            <ClassRow
              key={entry.id}
              {...{ entry, progress, standing, dueAt }}
              list={group.list}
              open={open === entry.id}
              busy={end.isPending || ask.isPending}
              onToggle={() => setOpen(open === entry.id ? null : entry.id)}
              onAsk={(words, done) => ask.mutate({ entry: entry.id, words }, { onSuccess: done })}
              askProblem={ask.variables?.entry === entry.id ? (ask.error?.message ?? null) : null}
              onEnd={() => end.mutate(entry.id)}
              // Told of each that has arrived: `mutate` tells of the newest alone. What fails is said by the hook.
              onWrite={(returned, give, done) =>
                void write.mutateAsync({ entry: entry.id, returned, give }).then(done, () => undefined)
              }
            />
          ))}
        </ol>
      )}
      {missing.length > 0 && page.endedAt === null && (
        <p>
          <b>Not joined by these names:</b>{' '}
          <span className="text-ink-2 [overflow-wrap:anywhere]">
            {missing.map(({ name }) => name).join(', ')}
          </span>
        </p>
      )}
      <AskDialog
        open={ending}
        title="End the class page?"
        answers={[{ name: 'End it', run: () => endAll.mutate() }]}
        onClose={() => setEnding(false)}
      >
        <p>
          Nobody joins any more, and each pass that was made for this class is switched off. You cannot switch
          them on again; their makers can. No other link of theirs is touched. What you gave back stays with
          them.
        </p>
      </AskDialog>
    </section>
  );
}
