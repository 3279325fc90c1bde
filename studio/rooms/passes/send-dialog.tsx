import { useMutation, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useId, useState } from 'react';
import { Link } from 'react-router';
import { mostSentAtOnce, type Pass, sendPass, writePassLetter } from '#contract/passes.ts';
import { addressesIn } from '#core/letters/addresses-in.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import { plural } from '#core/words/plural.ts';
import { call, Refusal } from '../../api/call.ts';
import { useSite } from '../../api/site-context.tsx';
import { Button } from '../../ui/button.tsx';
import { CheckField } from '../../ui/check-field.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { notice } from '../../ui/notice.ts';

/** Sends the link of a pass by mail: to whom, with what, and how it will read. */
export function SendDialog({ pass, onClose }: { pass: Pass; onClose: () => void }) {
  const { state } = useSite();
  const id = useId();
  const params = { site: state.site.id, pass: pass.id };
  const [to, setTo] = useState(() => addressesIn(pass.forWhom).join(', '));
  const [note, setNote] = useState('');
  const [remind, setRemind] = useState(false);
  const shownNote = useDeferredValue(note);
  const letter = useQuery({
    queryKey: ['pass-letter', params, shownNote],
    queryFn: () => call(writePassLetter, { params, body: { note: shownNote } }),
    placeholderData: (before) => before,
    staleTime: 0,
    retry: false,
  });
  const people = addressesIn(to);
  const send = useMutation({
    mutationFn: () => call(sendPass, { params, body: { to: people, note, remind } }),
    onSuccess: ({ sent }) => {
      notice(`${plural(sent, 'mail is', 'mails are')} on ${sent === 1 ? 'its' : 'their'} way.`);
      onClose();
    },
  });
  const { data } = letter;
  const others = (data?.known ?? []).filter((one) => !people.includes(one));
  const tooMany = people.length > mostSentAtOnce;
  const cannot = letter.error instanceof Refusal ? letter.error : null;
  return (
    <Dialog title={`Send “${pass.label}” by mail`} onClose={onClose} wide>
      {cannot ? (
        <p role="alert">
          {cannot.message}{' '}
          {cannot.problem.code === 'not-confirmed' && (
            <Link className="link" to="/account">
              Open your account
            </Link>
          )}
        </p>
      ) : (
        <form
          className="grid gap-5 md:grid-cols-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (people.length > 0 && !tooMany && !send.isPending) send.mutate();
          }}
        >
          <div className="grid content-start gap-4">
            <div>
              <label className="field-name" htmlFor={`${id}-to`}>
                To <em>addresses, as you have them</em>
              </label>
              <textarea
                id={`${id}-to`}
                className="input"
                rows={3}
                spellCheck={false}
                value={to}
                aria-describedby={`${id}-people`}
                onChange={({ target }) => setTo(target.value)}
              />
              <p id={`${id}-people`} className={tooMany ? 'field-problem' : 'note'} role="status">
                {tooMany
                  ? `At most ${mostSentAtOnce} get it at once; these are ${people.length}.`
                  : people.length === 0
                    ? 'No address is written yet.'
                    : people.length === 1
                      ? `To ${people[0]}.`
                      : `To ${people.length} people, each by itself.`}
              </p>
              {others.length > 0 && (
                <p className="mt-1 flex flex-wrap gap-1">
                  {others.slice(0, 6).map((one) => (
                    <Button key={one} small onClick={() => setTo(to.trim() === '' ? one : `${to}, ${one}`)}>
                      Add {one}
                    </Button>
                  ))}
                </p>
              )}
            </div>
            <div>
              <label className="field-name" htmlFor={`${id}-note`}>
                A note <em>if you like</em>
              </label>
              <textarea
                id={`${id}-note`}
                className="input"
                rows={4}
                maxLength={2000}
                value={note}
                onChange={({ target }) => setNote(target.value)}
              />
            </div>
            {data?.reminds != null && (
              <CheckField
                name={`Tell them again on ${instantInWords(new Date(data.reminds), pass.timeZone)}, before it closes`}
                checked={remind}
                onChange={setRemind}
              />
            )}
          </div>
          <div className="min-w-0">
            <h3 className="field-name">How it will read</h3>
            <div className="border border-line bg-paper p-3">
              <p className="font-firm">{data?.subject ?? '…'}</p>
              <p className="mt-2 text-s whitespace-pre-line wrap-anywhere">{data?.text ?? ''}</p>
            </div>
          </div>
          <div className="flex flex-wrap items-center gap-3 md:col-span-2">
            <Button
              type="submit"
              look="ink"
              disabled={people.length === 0 || tooMany || send.isPending || !data}
            >
              {people.length > 1 ? `Send ${people.length} mails` : 'Send the mail'}
            </Button>
            {send.error && (
              <p className="field-problem" role="alert">
                {send.error.message}
              </p>
            )}
          </div>
        </form>
      )}
    </Dialog>
  );
}
