import { useRef, useState } from 'react';
import { Link } from 'react-router';
import { planFile } from '#contract/plan.ts';
import type { HandIn } from '#contract/hand-ins.ts';
import { type HandInTerms, handInTermsSchema } from '#core/hand-ins/hand-in.ts';
import type { Finding } from '#core/outsider/outsider-test.ts';
import { useSite } from '../../api/site-context.tsx';
import { Loading, Trouble } from '../../ui/states.tsx';
import { notice } from '../../ui/notice.ts';
import { useNow } from '../../ui/use-now.ts';
import { useLeftOf } from '../../check/use-left-of.ts';
import { ClassOfHandIn, tickedNow } from './class-of-hand-in.tsx';
import { HandInForm, newHandIn } from './hand-in-form.tsx';
import { HandInRow, withLink } from './hand-in-row.tsx';
import { HandInString } from './hand-in-string.tsx';
import { useHandIns } from './use-hand-ins.ts';

/** Where links are handed in, until when, and what was live then. */
export function HandInsRoom() {
  const { state } = useSite();
  const { query, tell, make, change, remove, hand, undo } = useHandIns();
  const leftOf = useLeftOf();
  const now = useNow();
  const panel = useRef<HTMLElement>(null);
  const fresh = () => newHandIn(state.live.addressPath ? { kind: 'address' } : { kind: 'site-link' });
  const [terms, setTerms] = useState<HandInTerms>(fresh);
  const [forms, setForms] = useState(0);
  const [changing, setChanging] = useState<HandIn | null>(null);
  const [wrong, setWrong] = useState<{ of: string; findings: Finding[] } | null>(null);
  if (query.isPending) return <Loading what="Fetching your hand-ins" />;
  if (query.error) return <Trouble error={query.error} again={() => void query.refetch()} />;
  const { handIns } = query.data;
  const busy = make.isPending || change.isPending || hand.isPending || undo.isPending || tell.isPending;
  const leave = () => {
    setChanging(null);
    setTerms(fresh());
    setForms((count) => count + 1);
    make.reset();
    change.reset();
  };
  const handInNow = (one: HandIn, anyway: boolean) =>
    hand.mutate(
      { id: one.id, anyway, ticked: one.ofClass && tickedNow(one.ofClass, state.site, leftOf) },
      {
        onSuccess: ({ done, findings }) => {
          setWrong(done ? null : { of: one.id, findings });
          if (!done) return;
          const said = `“${one.what}” is written down as handed in.`;
          // Some browsers let a page copy only while a button is being pressed; then the row's own button does it.
          const copied =
            one.link === null
              ? Promise.reject(new Error('no link'))
              : navigator.clipboard.writeText(withLink(one.text, one.link));
          copied.then(
            () => notice(`${said} The text and the link are copied: paste them where they belong.`),
            () => notice(`${said} Copy the text and the link in its line, and paste them where they belong.`),
          );
        },
      },
    );
  return (
    <div className="grid min-h-full grid-cols-[minmax(0,1fr)_372px] compact:grid-cols-[minmax(0,1fr)]">
      <div className="grid min-w-0 content-start gap-4 px-5 pt-5 pb-28 md:px-8 compact:pb-6">
        <header className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
          <h1>Hand-ins</h1>
          <p className="note">Where a link was given, and what was live then.</p>
          <Link className="link ml-auto" to=".." relative="path">
            Back to Share
          </Link>
          <a className="link hidden compact:block" href="#hand-in-form">
            Add a hand-in
          </a>
        </header>
        {handIns.length === 0 && (
          <p className="max-w-prose text-base leading-6 text-ink-2">
            Nothing is handed in yet. Write down what is due and by which link: before it is due you are told
            if that link would not open, and afterwards what was live when you handed it in.
          </p>
        )}
        <HandInString handIns={handIns} now={now} />
        <ul aria-label="Hand-ins">
          {handIns.map((one) => (
            <HandInRow
              key={one.id}
              handIn={one}
              {...{ now, busy }}
              findings={wrong?.of === one.id ? wrong.findings : null}
              onHand={(anyway) => handInNow(one, anyway)}
              onChange={() => {
                setChanging(one);
                setTerms(handInTermsSchema.parse(one));
                requestAnimationFrame(() => panel.current?.querySelector('input')?.focus());
              }}
              onUndo={() => undo.mutate(one)}
              onRemove={() => {
                if (changing?.id === one.id) leave();
                remove.mutate(one);
              }}
            >
              {one.ofClass && (
                <ClassOfHandIn
                  handIn={one}
                  of={one.ofClass}
                  {...{ leftOf, busy }}
                  onTell={(told) => tell.mutate({ id: one.id, ...told })}
                />
              )}
            </HandInRow>
          ))}
        </ul>
        {handIns.some(({ dueAt }) => dueAt !== null) && (
          <p className="note">
            Due dates stand in{' '}
            <a className="link" href={planFile(state.site.id)}>
              the calendar of your plan
            </a>{' '}
            until they are handed in.
          </p>
        )}
      </div>
      <aside
        ref={panel}
        className="border-l border-line bg-raised px-5 pt-5 pb-28 compact:border-t compact:border-l-0"
        aria-labelledby="hand-in-form"
      >
        <h2 id="hand-in-form" className="mb-3">
          {changing ? `Change “${changing.what}”` : 'Add a hand-in'}
        </h2>
        <HandInForm
          key={changing?.id ?? `new ${forms}`}
          {...{ terms, busy }}
          settled={changing?.handedAt != null}
          ofClass={changing?.ofClass != null}
          onChange={setTerms}
          does={changing ? 'Keep the change' : 'Add it'}
          problem={(changing ? change.error : make.error)?.message ?? null}
          onDone={() =>
            changing
              ? change.mutate({ id: changing.id, terms }, { onSuccess: leave })
              : make.mutate(terms, { onSuccess: leave })
          }
          onLeave={changing ? leave : undefined}
        />
      </aside>
    </div>
  );
}
