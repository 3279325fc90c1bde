import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { everythingPath } from '#contract/account.ts';
import { megabytes } from '#core/words/megabytes.ts';
import { listSites } from '#contract/sites.ts';
import { call } from '../api/call.ts';
import { Button } from '../ui/button.tsx';
import { KiteMark } from '../ui/kite-mark.tsx';
import { lastSite } from '../ui/last-site.ts';
import { Loading, Trouble } from '../ui/states.tsx';
import { AddressForm } from './address-form.tsx';
import { LeaveForm } from './leave-form.tsx';
import { NameForm } from './name-form.tsx';
import { PasswordForm } from './password-form.tsx';
import { SessionList } from './session-list.tsx';
import { useAccount } from './use-account.ts';

const Part = ({ title, note, children }: { title: string; note: ReactNode; children: ReactNode }) => (
  <section className="grid gap-x-10 gap-y-3 border-t border-line py-6 md:grid-cols-[15rem_minmax(0,1fr)]">
    <div>
      <h2 className="text-base">{title}</h2>
      <p className="note mt-1">{note}</p>
    </div>
    <div className="grid max-w-[30rem] content-start gap-4">{children}</div>
  </section>
);

/** The maker's own account: its name, address and password, where it is open, and the ways to take all along and to leave. */
export function AccountRoom() {
  const account = useAccount();
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => call(listSites) });
  if (account.isPending) return <Loading what="Opening your account" />;
  if (account.error) return <Trouble error={account.error} again={() => void account.refetch()} />;
  const { data } = account;
  const back = sites.data?.find(({ id }) => id === lastSite()) ?? sites.data?.[0];
  return (
    <main className="mx-auto max-w-[58rem] px-6 pt-8 pb-28 md:px-10">
      <header className="mb-6 flex flex-wrap items-center gap-x-4 gap-y-2">
        <KiteMark dark />
        <h1>Your account</h1>
        <Link className="link ml-auto" to="/">
          {back ? `Back to ${back.title}` : 'Back to the studio'}
        </Link>
      </header>
      <Part title="Name" note="In the studio only. What stands on your pages is said in Share and About.">
        <NameForm name={data.name} />
      </Part>
      <Part
        title="Address"
        note="By it you sign in. Readers never see it, and messages are sent on to it only once it is confirmed."
      >
        <AddressForm account={data} />
      </Part>
      <Part title="Password" note="Setting another one signs you out everywhere but here.">
        {data.isDemo ? (
          <p className="note">The demo account is entered without one, and belongs to everybody here.</p>
        ) : (
          <PasswordForm email={data.email} />
        )}
      </Part>
      <Part
        title="Signed in"
        note="Each lasts for 30 days. End what you do not know, and set another password."
      >
        <SessionList sessions={data.sessions} />
      </Part>
      <Part
        title="Groups"
        note="People you know, by names: for passes, for lists, and for a class you teach."
      >
        <Button asChild className="justify-self-start">
          <Link to="/groups">To your groups</Link>
        </Button>
      </Part>
      <Part
        title="Take everything along"
        note="Your files untouched, and the rest as JSON that a schema describes."
      >
        <p className="text-ink-2">
          One ZIP of {megabytes(data.bytes)} of files, with every site, page, pass, hand-in, group, message
          and release. It also holds your links, so keep it to yourself.
        </p>
        <Button asChild className="justify-self-start">
          <a href={everythingPath} download>
            Save everything
          </a>
        </Button>
      </Part>
      <Part title="Leave" note="Links close at once. For 14 days you can sign in and keep it all.">
        {data.isDemo ? <p className="note">The demo account stays.</p> : <LeaveForm />}
      </Part>
    </main>
  );
}
