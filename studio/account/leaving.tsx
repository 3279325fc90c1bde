import { everythingPath, signOut, stayOnServer } from '#contract/account.ts';
import { instantInWords } from '#core/dates/local-time-in-words.ts';
import { call } from '../api/call.ts';
import { ownTimeZone } from '../api/own-time-zone.ts';
import { Button } from '../ui/button.tsx';
import { DoorPage } from './door-page.tsx';
import { useAccountChange } from './use-account.ts';

/** All that an account shows that is going to be deleted. */
export function Leaving({ leavesAt }: { leavesAt: string }) {
  const stay = useAccountChange(() => call(stayOnServer));
  const leave = () => void call(signOut).then(() => window.location.assign('/studio/'));
  return (
    <DoorPage title="This account is going to be deleted">
      <p>
        On {instantInWords(new Date(leavesAt), ownTimeZone())} all of it goes for good. Its links are closed
        already. Keep it, and they open what they opened before.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button look="go" disabled={stay.isPending} onClick={() => stay.mutate(undefined)}>
          Keep my account
        </Button>
        <Button asChild>
          <a href={everythingPath} download>
            Save everything
          </a>
        </Button>
        <Button look="bare" onClick={leave}>
          Sign out
        </Button>
      </div>
      {stay.error && (
        <p className="field-problem" role="alert">
          {stay.error.message}
        </p>
      )}
    </DoorPage>
  );
}
