import { useQuery } from '@tanstack/react-query';
import { RefreshCw } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { listPasses } from '#contract/passes.ts';
import { schemeOf } from '#core/look/look-rules.ts';
import { inReadingOrder } from '#core/pages/in-reading-order.ts';
import { pageName, rulesOfPage } from '#core/pages/page-kinds.ts';
import { pathBelow } from '#core/pages/path-below.ts';
import { call } from '../../../api/call.ts';
import { passesKey } from '../../../api/passes-key.ts';
import { useSite } from '../../../api/site-context.tsx';
import { Button } from '../../../ui/button.tsx';
import { CheckField } from '../../../ui/check-field.tsx';
import { readers } from '../../../ui/readers.ts';
import { Segments } from '../../../ui/segments.tsx';
import { SelectField } from '../../../ui/select.tsx';
import { Aloud } from './aloud.tsx';
import { Paper } from './paper.tsx';
import { PassedOn } from './passed-on.tsx';
import { TenSeconds } from './ten-seconds.tsx';
import { type Seen, type Sight, seenAt, useSeen } from './use-seen.ts';
import { Widths } from './widths.tsx';

const names: Readonly<Record<Sight, string>> = {
  widths: 'On screens',
  paper: 'On paper',
  aloud: 'Read aloud',
  'passed-on': 'Found and passed on',
  'ten-seconds': 'Ten seconds',
};
const entrance = 'entrance';

/** Everybody as whom the draft can be looked at, holders of passes too. */
function useReaders(): { value: string; name: string }[] {
  const { state } = useSite();
  const site = state.site.id;
  const { data } = useQuery({
    queryKey: passesKey(site),
    queryFn: () => call(listPasses, { params: { site } }),
    staleTime: 10_000,
  });
  const all = readers.map(({ viewer, name }) => ({ value: viewer as string, name }));
  const passes = (data?.passes ?? []).map(({ id, label }) => ({
    value: `pass-${id}`,
    name: `Pass: ${label}`,
  }));
  return [...all.reverse(), ...passes];
}

/** How the page arrives: by day or night, with and without pictures and scripts. */
function Arrives({ seen, onChange }: { seen: Seen; onChange: (change: Partial<Seen>) => void }) {
  const { state } = useSite();
  const set = schemeOf(state.site.look);
  return (
    <div className="flex flex-wrap items-center gap-x-6 gap-y-3">
      <Segments
        label="Screens"
        value={seen.width}
        options={[
          { value: 'all', name: 'Side by side' },
          { value: 'phone', name: 'Phone' },
          { value: 'tablet', name: 'Tablet' },
          { value: 'desktop', name: 'Desktop' },
          { value: 'projector', name: 'Projector' },
        ]}
        onChange={(width) => onChange({ width })}
      />
      {set === 'device' ? (
        <Segments
          label="Light"
          value={seen.scheme ?? 'light'}
          options={[
            { value: 'light', name: 'By day' },
            { value: 'dark', name: 'By night' },
          ]}
          onChange={(scheme) => onChange({ scheme })}
        />
      ) : (
        <span className="text-s text-ink-2">Your look is {set} for every reader.</span>
      )}
      <CheckField
        name="Pictures arrive"
        checked={seen.pictures}
        onChange={(pictures) => onChange({ pictures })}
      />
      <CheckField name="Scripts run" checked={seen.script} onChange={(script) => onChange({ script })} />
    </div>
  );
}

/** A page as somebody gets it: at their width, in their light, on their paper, by ear, in a list, in a hurry. */
export function ReadingRoom() {
  const { state } = useSite();
  const { site } = state;
  const [seen, setSeen] = useSeen();
  const all = useReaders();
  const [again, setAgain] = useState(0);
  const pages = inReadingOrder(state.pages).filter((page) => rulesOfPage(page).opens);
  const front = pages.find((page) => rulesOfPage(page).isFront);
  const page = pages.find(({ id }) => id === seen.page);
  const reader = all.find(({ value }) => value === seen.reader)?.name ?? 'This reader';
  const set = schemeOf(site.look);
  const scheme = set === 'device' ? (seen.scheme ?? 'light') : null;
  const of = `${page ? pageName(page) : site.title} for ${reader.toLowerCase()}`;
  const src = (manner: Parameters<typeof seenAt>[2]) => seenAt(site.id, seen, { framed: true, ...manner });
  const key = `${seen.reader} ${seen.page} ${state.revision} ${again}`;
  /** Somebody went on by a link: the other screens go with them. */
  const follow = (below: string) => {
    const gone = pages.find((one) => pathBelow(state.pages, one) === below);
    if (gone && gone.id !== (page ?? front)?.id) setSeen({ page: gone.id });
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-5 px-4 pt-5 pb-28 md:px-6">
      <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h1>See it as readers do</h1>
        <p className="note">What they get with your next publish.</p>
        <Button look="bare" small className="ml-auto" onClick={() => setAgain(again + 1)}>
          <RefreshCw size={16} aria-hidden="true" />
          Look again
        </Button>
        <Link className="link" to={`/${site.id}/check`}>
          Back to Check
        </Link>
      </header>
      <div className="flex flex-wrap items-end gap-x-4 gap-y-3">
        <div className="w-56 max-w-full">
          <SelectField
            name="Reader"
            value={seen.reader}
            options={all}
            onChange={(next) => setSeen({ reader: next })}
          />
        </div>
        <div className="w-64 max-w-full">
          <SelectField
            name="Page"
            value={page?.id ?? entrance}
            options={[
              { value: entrance, name: 'Where they come in' },
              ...pages.map((one) => ({ value: one.id, name: pageName(one) })),
            ]}
            onChange={(next) => setSeen({ page: next === entrance ? null : next })}
          />
        </div>
        <Segments
          label="What to look at"
          value={seen.sight}
          options={(Object.keys(names) as Sight[]).map((value) => ({ value, name: names[value] }))}
          onChange={(sight) => setSeen({ sight })}
        />
      </div>
      {seen.sight === 'widths' && (
        <>
          <Arrives seen={seen} onChange={setSeen} />
          <Widths
            key={key}
            {...{ of, width: seen.width }}
            src={src({ scheme, withoutPictures: !seen.pictures, withoutScript: !seen.script })}
            onFollow={follow}
          />
        </>
      )}
      {seen.sight === 'paper' && <Paper key={key} of={of} src={src({ onPaper: true })} />}
      {seen.sight === 'aloud' && <Aloud key={key} of={of} src={src({})} />}
      {seen.sight === 'passed-on' && <PassedOn key={key} seen={seen} page={page ?? front ?? null} />}
      {seen.sight === 'ten-seconds' && <TenSeconds key={key} of={of} src={src({ scheme })} />}
    </div>
  );
}
