import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { countVisits, forgetVisits, getVisits, type SiteVisits } from '#contract/visits.ts';
import { plural } from '#core/words/plural.ts';
import { call } from '../../api/call.ts';
import { useGivenLinks } from '../../api/use-given-links.ts';
import { useSite } from '../../api/site-context.tsx';
import { AskDialog } from '../../ui/ask-dialog.tsx';
import { Button } from '../../ui/button.tsx';
import { notice } from '../../ui/notice.ts';
import { Loading, Trouble } from '../../ui/states.tsx';
import { Switch } from '../../ui/switch.tsx';
import { shortDay } from '#core/dates/short-day.ts';
import { VisitsChart } from './visits-chart.tsx';

function Table({ caption, head, rows }: { caption: string; head: string[]; rows: (string | number)[][] }) {
  return (
    <table className="w-full border-collapse">
      <caption className="pb-1 text-start font-head text-base font-strong">{caption}</caption>
      <thead>
        <tr>
          {head.map((name, index) => (
            <th
              key={name}
              scope="col"
              className={`border-b border-edge py-1 text-s font-firm ${index === 0 ? 'text-start' : 'text-end'}`}
            >
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, ...cells], at) => (
          <tr key={at} className="border-b border-line">
            <th scope="row" className="py-1.5 text-start font-normal wrap-anywhere">
              {name}
            </th>
            {cells.map((cell, index) => (
              <td key={index} className="py-1.5 ps-3 text-end whitespace-nowrap tabular-nums">
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** What is wider than a phone begins at its end: today is what is looked for. */
function LastDaysFirst({ children }: { children: ReactNode }) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (place.current) place.current.scrollLeft = place.current.scrollWidth;
  }, []);
  return (
    <div
      ref={place}
      className="overflow-x-auto"
      role="region"
      aria-label="Visits day by day"
      // It scrolls on phones: the keyboard must reach its other end.
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
    >
      {children}
    </div>
  );
}

function Counted({ visits }: { visits: SiteVisits }) {
  const links = useGivenLinks();
  const { byDay, byPage, byLink } = visits;
  const all = byDay.reduce((sum, day) => sum + day.visits, 0);
  const nameOf = (link: string) => links.find(({ value }) => value === link)?.name ?? 'A link that is gone';
  if (all === 0)
    return (
      <p className="max-w-prose text-base leading-6 text-ink-2">
        {visits.on
          ? 'Nobody has opened a page in the last 90 days, as far as was counted.'
          : 'Nothing is counted, and nothing was in the last 90 days.'}
      </p>
    );
  return (
    <>
      <p className="text-base">
        <b>{plural(all, 'visit')}</b> in 90 days, {byDay.at(-1)?.visits ?? 0} of them today.
      </p>
      <figure className="grid gap-1">
        <LastDaysFirst>
          <VisitsChart days={byDay} />
        </LastDaysFirst>
        <figcaption className="note flex flex-wrap gap-x-4">
          <span>
            <span aria-hidden="true" className="me-1 inline-block size-2.5 bg-dusk" />
            different readers that day
          </span>
          <span>
            <span aria-hidden="true" className="me-1 inline-block size-2.5 bg-(--string)" />
            more visits by them
          </span>
        </figcaption>
      </figure>
      <div className="grid items-start gap-x-12 gap-y-6 md:grid-cols-2">
        <Table
          caption="By page"
          head={['Page', 'Visits']}
          rows={byPage.map(({ title, visits: many }) => [title, many])}
        />
        <Table
          caption="By link"
          head={['Link', 'Visits', 'Last']}
          rows={byLink.map(({ link, visits: many, lastDay }) => [nameOf(link), many, shortDay(lastDay)])}
        />
      </div>
      <details>
        <summary className="link w-fit cursor-pointer py-1">Day by day, as a table</summary>
        <Table
          caption="By day"
          head={['Day', 'Visits', 'Readers']}
          rows={[...byDay]
            .reverse()
            .filter(({ visits: many }) => many > 0)
            .map(({ day, visits: many, visitors }) => [shortDay(day), many, visitors])}
        />
      </details>
    </>
  );
}

/** How often pages were opened, by which link and on which day; and whether that is counted at all. */
export function VisitsRoom() {
  const { state } = useSite();
  const site = state.site.id;
  const params = { site };
  const key = ['visits', site];
  const client = useQueryClient();
  const [asking, setAsking] = useState(false);
  const query = useQuery({ queryKey: key, queryFn: () => call(getVisits, { params }), staleTime: 0 });
  const told = { onSuccess: (visits: SiteVisits) => client.setQueryData(key, visits) };
  const turn = useMutation({
    mutationFn: (on: boolean) => call(countVisits, { params, body: { on } }),
    ...told,
  });
  const forget = useMutation({
    mutationFn: () => call(forgetVisits, { params }),
    onSuccess: (visits) => {
      told.onSuccess(visits);
      notice('What was counted is forgotten.');
    },
  });
  if (query.isPending) return <Loading what="Fetching the counts" />;
  if (query.error) return <Trouble error={query.error} again={() => void query.refetch()} />;
  const problem = turn.error ?? forget.error;
  return (
    <div className="mx-auto grid max-w-[60rem] content-start gap-6 px-5 pt-5 pb-28 md:px-8">
      <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h1>Visits</h1>
        <Link className="link ml-auto" to=".." relative="path">
          Back to Share
        </Link>
      </header>
      <Counted visits={query.data} />
      <section
        aria-labelledby="counting"
        className="grid justify-items-start gap-3 border-t border-line pt-5"
      >
        <h2 id="counting" className="text-base">
          What is counted, and what is not
        </h2>
        <p className="max-w-prose text-ink-2">
          How often each page was opened, by which link, on which day by UTC, and how many different readers
          there were that day. Readers get no cookie for it, and neither their address nor their browser is
          kept: a day’s readers are told apart by a mark that is made with a word nobody knows, and that word
          is another one each day. Programs that say what they are, and you while you are signed in, are left
          out. A number is kept for 400 days.
        </p>
        <p className="flex items-center gap-3">
          <label htmlFor="counts">Count visits</label>
          <Switch
            id="counts"
            checked={query.data.on}
            disabled={turn.isPending}
            onChange={(on) => turn.mutate(on)}
          />
        </p>
        <Button look="danger" disabled={forget.isPending} onClick={() => setAsking(true)}>
          Forget what was counted
        </Button>
        {problem && (
          <p className="field-problem" role="alert">
            {problem.message}
          </p>
        )}
      </section>
      <AskDialog
        open={asking}
        title="Forget what was counted?"
        answers={[{ name: 'Forget it', run: () => forget.mutate() }]}
        leave="Keep it"
        onClose={() => setAsking(false)}
      >
        <p>All counts of this site so far are deleted, also those of passes. This cannot be undone.</p>
      </AskDialog>
    </div>
  );
}
