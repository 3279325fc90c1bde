import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { listPasses } from '#contract/passes.ts';
import { reaches } from '#core/access/height.ts';
import { siteHeight } from '#core/access/site-height.ts';
import { reachOf } from '#core/access/viewer.ts';
import { toldLines } from '#core/check/lists/checklist.ts';
import { partnerList } from '#core/second-look/partner-list.ts';
import { viewerOfLook } from '#core/second-look/looked-at-as.ts';
import type { LookedAtAs } from '#core/second-look/second-look.ts';
import { call } from '../../../api/call.ts';
import { passesKey } from '../../../api/passes-key.ts';
import { useSite } from '../../../api/site-context.tsx';
import type { SecondLookWanted } from '../../../api/use-second-looks.ts';
import { newId } from '../../../parts/new-id.ts';
import { Button } from '../../../ui/button.tsx';
import { Field } from '../../../ui/field.tsx';
import { SelectField } from '../../../ui/select.tsx';

const spans = [
  { value: '1', name: 'One day' },
  { value: '3', name: 'Three days' },
  { value: '7', name: 'A week' },
  { value: '14', name: 'Two weeks' },
  { value: '30', name: '30 days' },
] as const;

const partners = 'partners';
const noList = 'none';

interface AskFormProps {
  busy: boolean;
  onLeave: () => void;
  onAsk: (wanted: SecondLookWanted) => void;
}

/** Who looks, as which reader, with which list, and for how long. */
export function AskForm({ busy, onLeave, onAsk }: AskFormProps) {
  const { state } = useSite();
  const { site } = state;
  const form = useRef<HTMLFormElement>(null);
  const { data } = useQuery({
    queryKey: passesKey(site.id),
    queryFn: () => call(listPasses, { params: { site: site.id } }),
  });
  const [who, setWho] = useState('');
  const [as, setAs] = useState('whole');
  const [list, setList] = useState(partners);
  const [days, setDays] = useState<(typeof spans)[number]['value']>('7');
  const [missing, setMissing] = useState(false);
  useEffect(() => form.current?.querySelector('input')?.focus(), []);
  const passes = data?.passes ?? [];
  const readers: { value: string; name: string; as: LookedAtAs }[] = [
    { value: 'whole', name: 'Everything that is not Private', as: { kind: 'whole' } },
    { value: 'stranger', name: 'What a stranger gets', as: { kind: 'stranger' } },
    { value: 'site-link', name: 'What the link of the site opens', as: { kind: 'site-link' } },
    ...passes.map(({ id, label }) => ({
      ...{ value: `pass ${id}`, name: `What the pass “${label}” opens` },
      as: { kind: 'pass', pass: id } as const,
    })),
  ];
  const chosen = readers.find(({ value }) => value === as) ?? readers[0];
  const lists = site.lists.filter((one) => toldLines(one).length > 0);
  const own = lists.find(({ id }) => id === list);
  const asked = useMemo(() => partnerList(newId), []);
  const linesOf = () => {
    if (own) return toldLines(own).map(({ id, text }) => ({ id, text }));
    return list === noList ? [] : asked;
  };
  const pass = passes.find(({ id }) => chosen?.as.kind === 'pass' && chosen.as.pass === id);
  const viewer = chosen && viewerOfLook(chosen.as, pass ?? null);
  const isShut = viewer !== null && viewer !== undefined && !reaches(siteHeight(site), reachOf(viewer));
  return (
    <form
      ref={form}
      noValidate
      className="grid gap-4 bg-raised p-4 shadow-1"
      aria-label="Ask for a second look"
      onSubmit={(event) => {
        event.preventDefault();
        setMissing(who.trim() === '');
        if (who.trim() === '') return form.current?.querySelector('input')?.focus();
        if (chosen && !busy) onAsk({ who: who.trim(), as: chosen.as, lines: linesOf(), days: Number(days) });
      }}
    >
      <Field
        label="Who looks"
        hint="stands above the draft"
        value={who}
        maxLength={80}
        problem={missing ? 'Say who looks, so that you know whose ticks they are.' : undefined}
        onChange={({ target }) => setWho(target.value)}
      />
      <SelectField
        name="They see"
        value={as}
        options={readers.map(({ value, name }) => ({ value, name }))}
        onChange={setAs}
      />
      {isShut && (
        <p className="note">
          The site lies lower than that, so they would see nothing. Raise it in Share first; that alone
          publishes nothing.
        </p>
      )}
      <SelectField
        name="They tick"
        value={list}
        options={[
          { value: partners, name: 'Seven lines for somebody new to it' },
          ...lists.map(({ id, name }) => ({ value: id, name: name || 'A list' })),
          { value: noList, name: 'No list' },
        ]}
        onChange={setList}
      />
      {!own && list === partners && (
        <ul className="note grid list-disc gap-1 ps-4">
          {asked.map(({ id, text }) => (
            <li key={id}>{text}</li>
          ))}
        </ul>
      )}
      <SelectField name="The link ends after" value={days} options={spans} onChange={setDays} />
      <p className="flex flex-wrap gap-2">
        <Button type="submit" look="ink" disabled={busy}>
          Make the link
        </Button>
        <Button look="bare" onClick={onLeave}>
          Leave it
        </Button>
      </p>
    </form>
  );
}
