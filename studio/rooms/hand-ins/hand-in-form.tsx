import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { listPasses } from '#contract/passes.ts';
import type { HandedInBy, HandInTerms } from '#core/hand-ins/hand-in.ts';
import { pageName } from '#core/pages/page-kinds.ts';
import { call } from '../../api/call.ts';
import { ownTimeZone } from '../../api/own-time-zone.ts';
import { passesKey } from '../../api/passes-key.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { Field } from '../../ui/field.tsx';
import { SelectField } from '../../ui/select.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { TimeField } from '../../ui/time-field.tsx';

export const newHandIn = (by: HandedInBy): HandInTerms => ({
  ...{ what: '', forWhom: '', due: null, timeZone: ownTimeZone(), by, text: '', keeps: false },
});

/** A link by which something can be handed in, as a value of the list and back. */
const valueOf = (by: HandedInBy): string =>
  by.kind === 'pass' ? `pass ${by.pass}` : by.kind === 'page-link' ? `page ${by.thing}` : by.kind;
function byOf(value: string): HandedInBy {
  const [kind = '', id = ''] = value.split(' ');
  if (kind === 'pass') return { kind, pass: id };
  if (kind === 'page') return { kind: 'page-link', thing: id };
  return kind === 'address' ? { kind } : { kind: 'site-link' };
}

/** Links that something can be handed in by now. */
export function useLinks(): { value: string; name: string }[] {
  const { state } = useSite();
  const { site, live, pages } = state;
  const { data } = useQuery({
    queryKey: passesKey(site.id),
    queryFn: () => call(listPasses, { params: { site: site.id } }),
  });
  const nameOf = (id: string) => {
    const page = pages.find((one) => one.id === id);
    return page ? pageName(page) : 'a version of the résumé';
  };
  return [
    ...(site.address ? [{ value: 'address', name: 'The public address' }] : []),
    { value: 'site-link', name: 'The link to the whole site' },
    ...Object.keys(live.pageLinkPaths).map((id) => ({
      value: `page ${id}`,
      name: `The link to ${nameOf(id)}`,
    })),
    ...(data?.passes ?? []).map(({ id, label }) => ({ value: `pass ${id}`, name: `The pass “${label}”` })),
  ];
}

interface HandInFormProps {
  terms: HandInTerms;
  onChange: (terms: HandInTerms) => void;
  does: string;
  busy: boolean;
  problem: string | null;
  /** It is handed in: by which link it was does not change any more. */
  settled: boolean;
  onDone: () => void;
  onLeave?: (() => void) | undefined;
}

/** What is handed in: where, until when, by which link, and what goes with it. */
export function HandInForm({
  terms,
  onChange,
  does,
  busy,
  problem,
  settled,
  onDone,
  onLeave,
}: HandInFormProps) {
  const [tried, setTried] = useState(false);
  const links = useLinks();
  const set = (change: Partial<HandInTerms>) => onChange({ ...terms, ...change });
  const nameless = terms.what.trim() === '';
  const value = valueOf(terms.by);
  const known = links.some((one) => one.value === value);
  return (
    <form
      className="grid content-start gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (!nameless && !busy) onDone();
      }}
    >
      <Field
        label="What is handed in"
        maxLength={120}
        value={terms.what}
        problem={tried && nameless ? 'Say what is handed in.' : undefined}
        onChange={({ target }) => set({ what: target.value })}
      />
      <Field
        label="Where"
        hint="a course, a job, a competition"
        maxLength={120}
        value={terms.forWhom}
        onChange={({ target }) => set({ forWhom: target.value })}
      />
      <TimeField label="Due" hint="empty: no date" value={terms.due} onChange={(due) => set({ due })} />
      {settled ? (
        <p className="note">It is handed in, so its link stays as it is.</p>
      ) : (
        <>
          <SelectField
            name="By which link"
            value={value}
            options={known ? links : [{ value, name: 'A link that is not there any more' }, ...links]}
            onChange={(next) => {
              const by = byOf(next);
              set({ by, keeps: terms.keeps && by.kind === 'pass' });
            }}
          />
          {terms.by.kind === 'pass' ? (
            <CheckField
              name="Its readers keep getting what is live when I hand it in"
              checked={terms.keeps}
              onChange={(keeps) => set({ keeps })}
            />
          ) : (
            <p className="note">
              A{' '}
              <Link className="link" to="../passes" relative="path">
                pass
              </Link>{' '}
              can keep what you hand in, whatever you publish later.
            </p>
          )}
        </>
      )}
      <TextField
        label="Text to go with it"
        hint="copied with the link"
        value={terms.text}
        most={4000}
        rows={5}
        onChange={(text) => set({ text })}
      />
      {problem && (
        <p className="field-problem" role="alert">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="ink" className="flex-1" disabled={busy}>
          {does}
        </Button>
        {onLeave && <Button onClick={onLeave}>Leave it as it is</Button>}
      </div>
    </form>
  );
}
