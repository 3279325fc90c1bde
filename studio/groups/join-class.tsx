import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import type { Me } from '#contract/account.ts';
import { lookAtClass } from '#contract/groups.ts';
import { joinClass } from '#contract/hand-ins.ts';
import { listSites } from '#contract/sites.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import { call } from '../api/call.ts';
import { ownTimeZone } from '../api/own-time-zone.ts';
import { DoorPage } from '../account/door-page.tsx';
import { Button } from '../ui/button.tsx';
import { CheckField } from '../ui/check-field.tsx';
import { Field } from '../ui/field.tsx';
import { lastSite } from '../ui/last-site.ts';
import { notice } from '../ui/notice.ts';
import { SelectField } from '../ui/select.tsx';
import { Loading } from '../ui/states.tsx';

/** Where somebody joins a class by its link, with one of their sites. */
export function JoinClass() {
  const { key = '' } = useParams();
  const navigate = useNavigate();
  const client = useQueryClient();
  const asked = useQuery({
    queryKey: ['join', key],
    queryFn: () => call(lookAtClass, { params: { key } }),
    retry: false,
  });
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => call(listSites) });
  const [chosen, setChosen] = useState<string | null>(null);
  const [name, setName] = useState(client.getQueryData<Me>(['me'])?.account?.name ?? '');
  const [mayComment, setMayComment] = useState(true);
  const [keeps, setKeeps] = useState(false);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  if (asked.isPending || sites.isPending) return <Loading what="Opening the class" />;
  if (asked.error || sites.error)
    return (
      <DoorPage title="This class does not open">
        <p role="alert">{(asked.error ?? sites.error)?.message}</p>
        <Link className="link" to="/">
          To your studio
        </Link>
      </DoorPage>
    );
  const of = asked.data;
  const free = sites.data.filter(({ id }) => !of.joined.includes(id));
  const site = free.find(({ id }) => id === chosen) ?? free.find(({ id }) => id === lastSite()) ?? free[0];
  const there = of.joined[0];
  const join = async () => {
    if (!site || busy) return;
    if (name.trim() === '') return setProblem('Write the name the class knows you by.');
    setBusy(true);
    try {
      await call(joinClass, {
        params: { site: site.id },
        body: { key, name: name.trim(), opens: 'site', mayComment, keeps },
      });
      await client.invalidateQueries({ queryKey: ['hand-ins', site.id] });
      notice(`You have joined “${of.name}”. ${of.by} gets the link once you hand it in.`);
      await navigate(`/${site.id}/share/hand-ins`, { replace: true });
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'Try again.');
      setBusy(false);
    }
  };
  return (
    <DoorPage title={of.name}>
      <p>
        {of.by} asks for a site of yours
        {of.dueAt ? `, due ${instantInWords(new Date(of.dueAt), ownTimeZone())}` : ''}.
      </p>
      {of.words && <p className="whitespace-pre-line [overflow-wrap:anywhere]">{of.words}</p>}
      {of.list && (
        <details>
          <summary className="link">
            What {of.by} looks at: {of.list.lines.length} lines
          </summary>
          <ol className="mt-2 grid list-decimal gap-1 ps-5">
            {of.list.lines.map(({ id, text, essential }) => (
              <li key={id} className="[overflow-wrap:anywhere]">
                {text}
                {!essential && <span className="note"> extra</span>}
              </li>
            ))}
          </ol>
        </details>
      )}
      {there !== undefined && (
        <p>
          You have joined it already.{' '}
          <Link className="link" to={`/${there}/share/hand-ins`}>
            To that hand-in
          </Link>
        </p>
      )}
      {site ? (
        <form
          className="grid gap-4"
          noValidate
          onSubmit={(event) => {
            event.preventDefault();
            void join();
          }}
        >
          {free.length > 1 && (
            <SelectField
              name="With which site"
              value={site.id}
              options={free.map(({ id, title }) => ({ value: id, name: title }))}
              onChange={setChosen}
            />
          )}
          <Field
            label="Your name there"
            hint="initials will do if they know you by them"
            value={name}
            maxLength={80}
            onChange={({ target }) => setName(target.value)}
          />
          <CheckField
            name={`${of.by} may comment on what they read`}
            checked={mayComment}
            onChange={setMayComment}
          />
          <CheckField
            name={`${of.by} keeps getting what is live when I hand it in`}
            checked={keeps}
            onChange={setKeeps}
          />
          <p className="rounded-m bg-sky-wash p-3">
            A pass is made for the class. It opens the whole of {site.title} but what is Private; what else it
            opens, and whether it is on, you say under Passes. {of.by} sees your name now, and the link once
            you hand it in.
          </p>
          {problem && (
            <p className="field-problem" role="alert">
              {problem}
            </p>
          )}
          <p className="flex flex-wrap gap-2">
            <Button type="submit" look="go" disabled={busy}>
              Join with {free.length > 1 ? 'this site' : site.title}
            </Button>
            <Button look="bare" asChild>
              <Link to="/">Leave it</Link>
            </Button>
          </p>
        </form>
      ) : (
        there === undefined && (
          <p>
            You have no site yet.{' '}
            <Link className="link" to="/new-site" state={{ then: `/join/${key}` }}>
              Name a site
            </Link>{' '}
            first; then it goes on here.
          </p>
        )
      )}
    </DoorPage>
  );
}
