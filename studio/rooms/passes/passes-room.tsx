import { useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import { mostMadeAtOnce, type Pass } from '#contract/passes.ts';
import { passTermsSchema } from '#core/passes/pass.ts';
import { peopleFromText } from '#core/passes/people-from-text.ts';
import { Segments } from '../../ui/segments.tsx';
import { Loading, Trouble } from '../../ui/states.tsx';
import { useNow } from '../../ui/use-now.ts';
import { ListOfPeople } from './list-of-people.tsx';
import { MadePasses } from './made-passes.tsx';
import { newPassDraft, type PassDraft, PassForm } from './pass-form.tsx';
import { PassRow } from './pass-row.tsx';
import { SendDialog } from './send-dialog.tsx';
import { usePasses } from './use-passes.ts';

const draftOf = (pass: Pass): PassDraft => ({
  terms: passTermsSchema.parse(pass),
  password: pass.hasPassword ? { kind: 'kept' } : { kind: 'none' },
});

/** Links made for somebody: who has one, what each opens and when; and the next one. */
export function PassesRoom() {
  const { query, make, change, renew, remove, toggle } = usePasses();
  const now = useNow();
  const panel = useRef<HTMLElement>(null);
  const [draft, setDraft] = useState<PassDraft>(newPassDraft);
  /** Counts forms, so that each begins without what was wrong with the one before. */
  const [forms, setForms] = useState(0);
  const [changing, setChanging] = useState<Pass | null>(null);
  const [sending, setSending] = useState<Pass | null>(null);
  const [many, setMany] = useState(false);
  const [list, setList] = useState('');
  const [made, setMade] = useState<{ passes: Pass[]; password: string | null; changed: boolean } | null>(
    null,
  );
  const people = useMemo(() => (many ? peopleFromText(list) : []), [many, list]);
  if (query.isPending) return <Loading what="Fetching your passes" />;
  if (query.error) return <Trouble error={query.error} again={() => void query.refetch()} />;
  const { passes, visits } = query.data;
  const busy = make.isPending || change.isPending;
  const problem = (changing ? change.error : make.error)?.message ?? null;
  const tooMany = people.length > mostMadeAtOnce;
  const leave = () => {
    setChanging(null);
    setDraft(newPassDraft());
    change.reset();
    make.reset();
  };
  const beginChange = (pass: Pass) => {
    setMade(null);
    setMany(false);
    setChanging(pass);
    setDraft(draftOf(pass));
    change.reset();
    requestAnimationFrame(() => panel.current?.querySelector('input')?.focus());
  };
  const { password, terms } = draft;
  const makeAll = () => {
    const typed = password.kind === 'new' ? password.text.trim() : null;
    const wanted = many
      ? people.map(({ name, more }) => ({ ...terms, label: name, forWhom: more, password: typed }))
      : [{ ...terms, password: typed }];
    make.mutate(wanted, {
      onSuccess: ({ passes: fresh }) => {
        setMade({ passes: fresh, password: typed, changed: false });
        setDraft(newPassDraft());
        setForms((count) => count + 1);
        setList('');
        setMany(false);
      },
    });
  };
  const keepChange = (pass: Pass) =>
    change.mutate(
      {
        ...{ pass: pass.id, terms },
        ...(password.kind === 'none' && pass.hasPassword && { password: null }),
        ...(password.kind === 'new' && { password: password.text.trim() }),
      },
      {
        onSuccess: (changed) => {
          setMade(
            password.kind === 'new'
              ? { passes: [changed], password: password.text.trim(), changed: true }
              : null,
          );
          setChanging(null);
          setDraft(newPassDraft());
        },
      },
    );
  return (
    <div className="grid min-h-full grid-cols-[minmax(0,1fr)_372px] compact:grid-cols-[minmax(0,1fr)]">
      <div className="grid min-w-0 content-start gap-4 px-5 pt-5 pb-28 md:px-8 compact:pb-6">
        <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1>Passes</h1>
          <p className="note">A pass is a link for somebody. It lifts nothing that is Private.</p>
          <Link className="link ml-auto" to=".." relative="path">
            Back to Share
          </Link>
          <a className="link hidden compact:block" href="#pass-form">
            Make a pass
          </a>
        </header>
        {sending && <SendDialog pass={sending} onClose={() => setSending(null)} />}
        {made && <MadePasses {...made} onDone={() => setMade(null)} />}
        {passes.length === 0 && !made && (
          <p className="max-w-prose text-base leading-6 text-ink-2">
            Nobody has one yet. Make one for a tutor, an employer or an open evening: it can open on a day,
            close on another, ask for a password, and be switched off at any time.
          </p>
        )}
        <ul aria-label="Passes">
          {passes.map((pass) => (
            <PassRow
              key={pass.id}
              {...{ pass, now }}
              visits={visits[pass.id]}
              busy={toggle.isPending}
              onToggle={() => toggle.mutate(pass)}
              onSend={() => setSending(pass)}
              onChange={() => beginChange(pass)}
              onRenew={() => renew.mutate(pass)}
              onRemove={() => {
                if (changing?.id === pass.id) leave();
                remove.mutate(pass);
              }}
            />
          ))}
        </ul>
      </div>
      <aside
        ref={panel}
        className="border-l border-line bg-raised px-5 pt-5 pb-28 compact:border-t compact:border-l-0"
        aria-labelledby="pass-form"
      >
        <h2 id="pass-form" className="mb-3">
          {changing ? `Change “${changing.label}”` : 'Make a pass'}
        </h2>
        {!changing && (
          <Segments
            label="For one or for many"
            className="mb-4"
            value={many ? 'many' : 'one'}
            options={[
              { value: 'one', name: 'One' },
              { value: 'many', name: 'One each for a list' },
            ]}
            onChange={(value) => setMany(value === 'many')}
          />
        )}
        {many && <ListOfPeople text={list} people={people} onChange={setList} />}
        <PassForm
          key={changing?.id ?? `new ${forms}`}
          {...{ draft, busy, unnamed: many }}
          onChange={setDraft}
          does={
            changing
              ? 'Keep the change'
              : many
                ? `Make ${people.length} ${people.length === 1 ? 'pass' : 'passes'}`
                : 'Make the pass'
          }
          problem={
            many && tooMany
              ? `At most ${mostMadeAtOnce} passes can be made at once. Make the rest from a second list.`
              : problem
          }
          onDone={() => {
            if (changing) keepChange(changing);
            else if (!many || (people.length > 0 && !tooMany)) makeAll();
          }}
          onLeave={changing ? leave : undefined}
        />
      </aside>
    </div>
  );
}
