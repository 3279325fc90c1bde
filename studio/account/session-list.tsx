import { endOneSession, endOtherSessions, type Session } from '#contract/account.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import { call } from '../api/call.ts';
import { ownTimeZone } from '../api/own-time-zone.ts';
import { Button } from '../ui/button.tsx';
import { useAccountChange } from './use-account.ts';

/** Where the account is open, each to be ended. */
export function SessionList({ sessions }: { sessions: readonly Session[] }) {
  const end = useAccountChange((session: string) => call(endOneSession, { params: { session } }));
  const endOthers = useAccountChange(() => call(endOtherSessions));
  const busy = end.isPending || endOthers.isPending;
  const problem = end.error ?? endOthers.error;
  const inWords = (instant: string) => instantInWords(new Date(instant), ownTimeZone());
  return (
    <>
      <ul aria-label="Where you are signed in">
        {sessions.map(({ id, device, since, seen, this: isThis }) => (
          <li key={id} className="flex items-center gap-3 border-b border-line py-2">
            <span className="min-w-0 flex-1">
              <b className="block">{device || 'A browser that did not say what it is'}</b>
              <small className="block text-ink-2">
                {isThis ? 'This one, since ' : `Last used ${inWords(seen)}; since `}
                {inWords(since)}
              </small>
            </span>
            {!isThis && (
              <Button
                small
                disabled={busy}
                aria-label={`End ${device || 'this one'}, since ${inWords(since)}`}
                onClick={() => end.mutate(id)}
              >
                End
              </Button>
            )}
          </li>
        ))}
      </ul>
      {sessions.length > 1 && (
        <Button className="justify-self-start" disabled={busy} onClick={() => endOthers.mutate(undefined)}>
          End all but this one
        </Button>
      )}
      {problem && (
        <p className="field-problem" role="alert">
          {problem.message}
        </p>
      )}
    </>
  );
}
