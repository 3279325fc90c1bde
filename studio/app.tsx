import { useQuery } from '@tanstack/react-query';
import { type ComponentType, useEffect } from 'react';
import { Navigate, Outlet, Route, Routes, useLocation, useParams } from 'react-router';
import { getMe } from '#contract/account.ts';
import { listSites } from '#contract/sites.ts';
import { call } from './api/call.ts';
import { SiteProvider } from './api/site-context.tsx';
import { UploadsProvider } from './api/uploads-context.tsx';
import { ActionsProvider } from './ui/finder/actions-context.tsx';
import { fetched } from './ui/fetched.tsx';
import { Frame } from './ui/frame.tsx';
import { lastSite, setLastSite } from './ui/last-site.ts';
import { Loading, Trouble } from './ui/states.tsx';

const opening = (what: string) => () => <Loading what={what} />;
const theStudio = opening('Opening the studio');
const theRoom = opening('Opening the room');

// Each is fetched when it is opened.
const Welcome = fetched(() => import('./account/welcome.tsx').then((module) => module.Welcome), theStudio);
const AccountRoom = fetched(
  () => import('./account/account-room.tsx').then((module) => module.AccountRoom),
  theStudio,
);
const GroupsRoom = fetched(
  () => import('./groups/groups-room.tsx').then((module) => module.GroupsRoom),
  theStudio,
);
const JoinClass = fetched(
  () => import('./groups/join-class.tsx').then((module) => module.JoinClass),
  theStudio,
);
const Leaving = fetched(() => import('./account/leaving.tsx').then((module) => module.Leaving), theStudio);
const NameSite = fetched(
  () => import('./account/name-site.tsx').then((module) => module.NameSite),
  theStudio,
);
const Projects = fetched(
  () => import('./rooms/projects/projects.tsx').then((module) => module.Projects),
  theRoom,
);
const Gather = fetched(() => import('./rooms/gather/gather.tsx').then((module) => module.Gather), theRoom);
const Share = fetched(() => import('./rooms/share/share.tsx').then((module) => module.Share), theRoom);
const PassesRoom = fetched(
  () => import('./rooms/passes/passes-room.tsx').then((module) => module.PassesRoom),
  theRoom,
);
const VisitsRoom = fetched(
  () => import('./rooms/visits/visits-room.tsx').then((module) => module.VisitsRoom),
  theRoom,
);
const HandInsRoom = fetched(
  () => import('./rooms/hand-ins/hand-ins-room.tsx').then((module) => module.HandInsRoom),
  theRoom,
);
const WhoRoom = fetched(() => import('./rooms/who/who-room.tsx').then((module) => module.WhoRoom), theRoom);
const Look = fetched(() => import('./rooms/look/look.tsx').then((module) => module.Look), theRoom);
const About = fetched(() => import('./rooms/about/about.tsx').then((module) => module.About), theRoom);
const ResumeDesk = fetched(
  () => import('./rooms/resume/resume-desk.tsx').then((module) => module.ResumeDesk),
  theRoom,
);
const EvidenceRoom = fetched(
  () => import('./rooms/resume/evidence/evidence-room.tsx').then((module) => module.EvidenceRoom),
  theRoom,
);
const Feedback = fetched(
  () => import('./rooms/feedback/feedback.tsx').then((module) => module.Feedback),
  theRoom,
);
const Check = fetched(() => import('./rooms/check/check.tsx').then((module) => module.Check), theRoom);
const ReadingRoom = fetched(
  () => import('./rooms/check/reading/reading-room.tsx').then((module) => module.ReadingRoom),
  theRoom,
);
const Arrange = fetched(
  () => import('./rooms/arrange/arrange.tsx').then((module) => module.Arrange),
  theRoom,
);
const Compose = fetched(
  () =>
    Promise.all([import('./rooms/compose/compose.tsx'), import('./parts/parts.ts')]).then(
      async ([{ Compose: room }, { fetchInPlace }]) => {
        await fetchInPlace();
        return room;
      },
    ),
  theRoom,
);
const MomentsRoom = fetched(
  () => import('./rooms/moments/moments-room.tsx').then((module) => module.MomentsRoom),
  theRoom,
);
const PlanRoom = fetched(
  () => import('./rooms/plan/plan-room.tsx').then((module) => module.PlanRoom),
  theRoom,
);
const ContactSheet = fetched(
  () => import('./rooms/contact-sheet/contact-sheet.tsx').then((module) => module.ContactSheet),
  theRoom,
);

/** Fetches the room an address leads to, beside what has to be asked before it can be drawn. */
function fetchRoomAt(path: string): void {
  const [, , room = 'projects', page, sheet] = path.replace(/^\/studio/, '').split('/');
  const wanted = {
    projects: sheet === 'moments' ? MomentsRoom : sheet ? ContactSheet : page ? Compose : Projects,
    gather: Gather,
    about: { resume: ResumeDesk, evidence: EvidenceRoom }[page ?? ''] ?? About,
    arrange: Arrange,
    check: page === 'reading' ? ReadingRoom : Check,
    look: Look,
    plan: PlanRoom,
    share:
      { passes: PassesRoom, who: WhoRoom, 'hand-ins': HandInsRoom, visits: VisitsRoom }[page ?? ''] ?? Share,
    feedback: Feedback,
  };
  if (Object.hasOwn(wanted, room)) wanted[room as keyof typeof wanted].fetch().catch(() => undefined);
}
fetchRoomAt(window.location.pathname);

/** Signed in, the projects of the site that was open last in this browser; else the door. */
function Start() {
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => call(listSites) });
  if (sites.isPending) return <Loading what="Opening your studio" />;
  if (sites.error) return <Trouble error={sites.error} again={() => void sites.refetch()} />;
  const last = lastSite();
  const first = sites.data.find(({ id }) => id === last) ?? sites.data[0];
  return first ? <Navigate to={`/${first.id}/projects`} replace /> : <NameSite />;
}

function SiteRooms() {
  const { site = '' } = useParams();
  useEffect(() => setLastSite(site), [site]);
  return (
    <SiteProvider key={site} id={site}>
      <UploadsProvider>
        <ActionsProvider>
          <Frame>
            <Outlet />
          </Frame>
        </ActionsProvider>
      </UploadsProvider>
    </SiteProvider>
  );
}

/** The studio of whoever is signed in; else its door. */
function Studio() {
  const me = useQuery({ queryKey: ['me'], queryFn: () => call(getMe) });
  if (me.isPending) return <Loading what="Opening the studio" />;
  if (me.error) return <Trouble error={me.error} again={() => void me.refetch()} />;
  const { account, ...door } = me.data;
  if (!account) return <Welcome {...door} />;
  if (account.leavesAt !== null) return <Leaving leavesAt={account.leavesAt} />;
  return (
    <Routes>
      <Route index element={<Start />} />
      <Route path="account" element={<AccountRoom />} />
      <Route path="groups" element={<GroupsRoom />} />
      <Route path="groups/:group" element={<GroupsRoom />} />
      <Route path="join/:key" element={<JoinClass />} />
      <Route path="new-site" element={<NameSite />} />
      <Route path=":site" element={<SiteRooms />}>
        <Route index element={<Navigate to="projects" replace />} />
        <Route path="gather" element={<Gather />} />
        <Route path="projects" element={<Projects />} />
        <Route path="projects/:page" element={<Compose />} />
        <Route path="projects/:page/moments" element={<MomentsRoom />} />
        <Route path="projects/:page/sheet/:part" element={<ContactSheet />} />
        <Route path="about" element={<About />} />
        <Route path="about/resume" element={<ResumeDesk />} />
        <Route path="about/evidence" element={<EvidenceRoom />} />
        <Route path="arrange" element={<Arrange />} />
        <Route path="look" element={<Look />} />
        <Route path="plan" element={<PlanRoom />} />
        <Route path="share" element={<Share />} />
        <Route path="share/who" element={<WhoRoom />} />
        <Route path="share/hand-ins" element={<HandInsRoom />} />
        <Route path="share/visits" element={<VisitsRoom />} />
        <Route path="share/passes" element={<PassesRoom />} />
        <Route path="feedback" element={<Feedback />} />
        <Route path="check" element={<Check />} />
        <Route path="check/reading" element={<ReadingRoom />} />
        <Route path=":room" element={<Navigate to="../projects" replace />} />
      </Route>
      <Route path="*" element={<Navigate to="/" replace />} />
    </Routes>
  );
}

/** Pages that are opened from mails, by whoever reads them, signed in or not. */
const fromMails: Readonly<Record<string, ComponentType>> = {
  '/new-password': fetched(
    () => import('./account/new-password.tsx').then((module) => module.NewPassword),
    theStudio,
  ),
  '/confirm': fetched(
    () => import('./account/confirm-address.tsx').then((module) => module.ConfirmAddress),
    theStudio,
  ),
};

export function App() {
  const { pathname } = useLocation();
  const FromMail = Object.hasOwn(fromMails, pathname) ? fromMails[pathname] : undefined;
  return FromMail ? <FromMail /> : <Studio />;
}
