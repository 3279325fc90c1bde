import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { useState } from 'react';
import { addSetTime, listSetTimes, removeSetTime, type SetTime } from '#contract/publishing.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import type { DoesAtTime } from '#core/release/set-time.ts';
import { call, Refusal } from '../../api/call.ts';
import { ownTimeZone } from '../../api/own-time-zone.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { IconButton } from '../../ui/icon-button.tsx';
import { Segments } from '../../ui/segments.tsx';
import { TimeField } from '../../ui/time-field.tsx';

const names: Record<DoesAtTime, string> = { publish: 'Publish', 'take-down': 'Take down' };
const said: Record<DoesAtTime, string> = {
  publish: 'What stands here at that time is published: edits made until then go along.',
  'take-down': 'At that time the site becomes Private: nobody can open it until you raise it and publish.',
};

function Waiting({ time, onRemove }: { time: SetTime; onRemove: () => void }) {
  const at = new Date(time.at);
  const own = ownTimeZone();
  return (
    <li className="flex min-h-11 items-center gap-3 border-t border-line py-1">
      <span className="min-w-0 flex-1">
        <b>{names[time.does]}</b> {instantInWords(at, own)}
        {time.timeZone !== own && (
          <span className="note block">
            {instantInWords(at, time.timeZone)} by clocks in {time.timeZone}
          </span>
        )}
        {time.doneAt && <span className="note block">{time.outcome}</span>}
      </span>
      {!time.doneAt && (
        <IconButton
          label={`Do not ${names[time.does].toLowerCase()} at ${instantInWords(at, own)}`}
          onClick={onRemove}
        >
          <X size={16} aria-hidden="true" />
        </IconButton>
      )}
    </li>
  );
}

/** Publishing and taking down at a time that is set here: the server does it, whether the studio is open or not. */
export function SetTimes() {
  const { state } = useSite();
  const site = state.site.id;
  const client = useQueryClient();
  const key = ['set times', site];
  const { data } = useQuery({ queryKey: key, queryFn: () => call(listSetTimes, { params: { site } }) });
  const [does, setDoes] = useState<DoesAtTime>('publish');
  const [local, setLocal] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const told = {
    onSuccess: (times: { times: SetTime[] }) => {
      client.setQueryData(key, times);
      setProblem(null);
    },
    onError: (error: Error) =>
      setProblem(error instanceof Refusal ? error.message : 'That did not work. Try again.'),
  };
  const add = useMutation({
    mutationFn: (at: string) =>
      call(addSetTime, { params: { site }, body: { does, local: at, timeZone: ownTimeZone() } }),
    ...told,
    onSuccess: (times) => {
      told.onSuccess(times);
      setLocal(null);
    },
  });
  const remove = useMutation({
    mutationFn: (time: string) => call(removeSetTime, { params: { site, time } }),
    ...told,
  });
  const shut = does === 'publish' && state.site.height === 'private';
  return (
    <section aria-labelledby="set-times" className="grid gap-3">
      <h2 id="set-times" className="text-[1.0625rem]">
        At a set time
      </h2>
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          if (local === null) setProblem('Say a day and a time.');
          else add.mutate(local);
        }}
      >
        <Segments
          label="What is done then"
          className="justify-self-start"
          options={(['publish', 'take-down'] as const).map((value) => ({ value, name: names[value] }))}
          value={does}
          onChange={setDoes}
        />
        <div className="flex flex-wrap items-end gap-3">
          <div className="min-w-0 flex-1">
            <TimeField label="Day and time" value={local} onChange={setLocal} />
          </div>
          <Button type="submit" disabled={add.isPending}>
            Set it
          </Button>
        </div>
        <p className="note">
          {said[does]}
          {shut && ' The site is Private now: raise it before then, or it opens for nobody.'}
        </p>
        {problem && (
          <p className="field-problem" role="alert">
            {problem}
          </p>
        )}
      </form>
      {data && data.times.length > 0 && (
        <ul>
          {data.times.map((time) => (
            <Waiting key={time.id} time={time} onRemove={() => remove.mutate(time.id)} />
          ))}
        </ul>
      )}
    </section>
  );
}
