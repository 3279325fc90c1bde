import { useId, useMemo, useState } from 'react';
import { seenBy } from '#core/access/seen-by.ts';
import { rulesOfPage } from '#core/pages/page-kinds.ts';
import { passInASentence } from '#core/passes/pass-in-a-sentence.ts';
import { mostAsked, type PassTerms } from '#core/passes/pass.ts';
import { passViewer } from '#core/passes/pass-viewer.ts';
import { ownTimeZone } from '../../api/own-time-zone.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { Field } from '../../ui/field.tsx';
import { TimeField } from '../../ui/time-field.tsx';
import { OpensField } from './opens-field.tsx';
import { PasswordField, type PasswordWish } from './password-field.tsx';

/** A pass as it is written. */
export interface PassDraft {
  terms: PassTerms;
  password: PasswordWish;
}

export const newPassDraft = (): PassDraft => ({
  terms: {
    ...{ label: '', forWhom: '', opens: 'site', from: null, until: null },
    ...{ timeZone: ownTimeZone(), mayDownload: true, mayComment: false, asks: '' },
  },
  password: { kind: 'none' },
});

interface PassFormProps {
  draft: PassDraft;
  onChange: (draft: PassDraft) => void;
  /** What the button says. */
  does: string;
  busy: boolean;
  problem: string | null;
  onDone: () => void;
  onLeave?: (() => void) | undefined;
  /** The name comes from a list. */
  unnamed?: boolean;
}

/** What a pass is: whom it is for, what it opens, when, and how. Below stands what that comes to for whoever has it. */
export function PassForm({
  draft,
  onChange,
  does,
  busy,
  problem,
  onDone,
  onLeave,
  unnamed = false,
}: PassFormProps) {
  const { state } = useSite();
  const heard = useId();
  const { terms, password } = draft;
  const { opens, mayDownload, mayComment, asks } = terms;
  const [tried, setTried] = useState(false);
  const set = (change: Partial<PassTerms>) => onChange({ ...draft, terms: { ...terms, ...change } });
  const pages = useMemo(() => {
    const view = seenBy(state, passViewer({ opens, mayDownload }));
    return view?.pages.filter((page) => rulesOfPage(page).opens).length ?? 0;
  }, [state, opens, mayDownload]);
  const nameless = !unnamed && terms.label.trim() === '';
  const opensNothing = opens !== 'site' && opens.length === 0;
  const zone = terms.timeZone === ownTimeZone() ? '' : `By clocks in ${terms.timeZone}. `;
  return (
    <form
      className="grid content-start gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (!nameless && !opensNothing && !busy) onDone();
      }}
    >
      {!unnamed && (
        <>
          <Field
            label="Name it"
            hint="for yourself"
            maxLength={80}
            value={terms.label}
            problem={tried && nameless ? 'Name the pass, so that you know it again.' : undefined}
            onChange={({ target }) => set({ label: target.value })}
          />
          <Field
            label="For whom"
            hint="nobody else reads it"
            maxLength={200}
            value={terms.forWhom}
            onChange={({ target }) => set({ forWhom: target.value })}
          />
        </>
      )}
      <OpensField opens={opens} onChange={(next) => set({ opens: next })} />
      {tried && opensNothing && (
        <p className="field-problem" role="alert">
          Tick at least one page, or open the whole site.
        </p>
      )}
      <div className="grid gap-3">
        <TimeField label="From" hint="empty: now" value={terms.from} onChange={(from) => set({ from })} />
        <TimeField
          label="Until"
          hint="empty: no end"
          value={terms.until}
          onChange={(until) => set({ until })}
        />
      </div>
      <PasswordField wish={password} onChange={(next) => onChange({ ...draft, password: next })} />
      <CheckField
        name="Files that pages offer can be downloaded"
        checked={mayDownload}
        onChange={(on) => set({ mayDownload: on })}
      />
      <CheckField
        name="They may comment, by a name they choose"
        checked={mayComment}
        onChange={(on) => set({ mayComment: on })}
      />
      {mayComment && (
        <TextField
          label="What you would like to hear"
          hint="stands over their form"
          value={asks}
          most={mostAsked}
          onChange={(next) => set({ asks: next })}
        />
      )}
      <p id={heard} className="rounded-m bg-sky-wash p-3" role="status">
        {opensNothing
          ? 'It opens nothing yet.'
          : passInASentence(terms, { pages, password: password.kind !== 'none' })}{' '}
        {zone}
        {!state.live.release && 'Nothing is published yet, so it opens nothing until you publish.'}
        {state.live.release && state.live.waiting.length > 0 && 'What waits is read once it is published.'}
      </p>
      {problem && (
        <p className="field-problem" role="alert">
          {problem}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <Button type="submit" look="ink" className="flex-1" aria-describedby={heard} disabled={busy}>
          {does}
        </Button>
        {onLeave && <Button onClick={onLeave}>Leave it as it is</Button>}
      </div>
    </form>
  );
}
