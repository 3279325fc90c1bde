import { useState } from 'react';
import { Link } from 'react-router';
import { type GivenLink, givenLinkName, givenLinkNameSchema } from '#core/access/given-link.ts';
import type { HandInTerms } from '#core/hand-ins/hand-in.ts';
import { ownTimeZone } from '../../api/own-time-zone.ts';
import { useGivenLinks } from '../../api/use-given-links.ts';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { Field } from '../../ui/field.tsx';
import { SelectField } from '../../ui/select.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { TimeField } from '../../ui/time-field.tsx';

export const newHandIn = (by: GivenLink): HandInTerms => ({
  ...{ what: '', forWhom: '', due: null, timeZone: ownTimeZone(), by, text: '', keeps: false },
});

interface HandInFormProps {
  terms: HandInTerms;
  onChange: (terms: HandInTerms) => void;
  does: string;
  busy: boolean;
  problem: string | null;
  /** It is handed in: by which link it was does not change any more. */
  settled: boolean;
  /** It goes to a class, by the pass that was made for that. */
  ofClass?: boolean;
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
  ofClass = false,
  onDone,
  onLeave,
}: HandInFormProps) {
  const [tried, setTried] = useState(false);
  const links = useGivenLinks();
  const set = (change: Partial<HandInTerms>) => onChange({ ...terms, ...change });
  const nameless = terms.what.trim() === '';
  const value = givenLinkName(terms.by);
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
          {ofClass ? (
            <p className="note">It goes by the pass that was made for the class.</p>
          ) : (
            <SelectField
              name="By which link"
              value={value}
              options={known ? links : [{ value, name: 'A link that is not there any more' }, ...links]}
              onChange={(next) => {
                const by = givenLinkNameSchema.parse(next);
                set({ by, keeps: terms.keeps && by.kind === 'pass' });
              }}
            />
          )}
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
