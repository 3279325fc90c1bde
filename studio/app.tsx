import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense } from 'react';
import { Navigate, Outlet, Route, Routes, useParams } from 'react-router';
import { getMe } from '#contract/account.ts';
import { listSites } from '#contract/sites.ts';
import { call } from './api/call.ts';
import { SiteProvider } from './api/site-context.tsx';
import { UploadsProvider } from './api/uploads-context.tsx';
import { PlannedRoom } from './rooms/planned/planned-room.tsx';
import { Projects } from './rooms/projects/projects.tsx';
import { ActionsProvider } from './ui/finder/actions-context.tsx';
import { Frame } from './ui/frame.tsx';
import { Loading, Trouble } from './ui/states.tsx';

// Fetched when they are opened: what most makers see first is the board of their projects.
const Welcome = lazy(() => import('./account/welcome.tsx').then((module) => ({ default: module.Welcome })));
const NameSite = lazy(() =>
  import('./account/name-site.tsx').then((module) => ({ default: module.NameSite })),
);
const Share = lazy(() => import('./rooms/share/share.tsx').then((module) => ({ default: module.Share })));
const Compose = lazy(() =>
  Promise.all([import('./rooms/compose/compose.tsx'), import('./parts/parts.ts')]).then(
    async ([{ Compose: room }, { fetchInPlace }]) => {
      await fetchInPlace();
      return { default: room };
    },
  ),
);

const ContactSheet = lazy(() =>
  import('./rooms/contact-sheet/contact-sheet.tsx').then((module) => ({ default: module.ContactSheet })),
);
const Gather = lazy(() => import('./rooms/gather/gather.tsx').then((module) => ({ default: module.Gather })));

/** Signed in, the first site's projects; else the door. */
function Start() {
  const sites = useQuery({ queryKey: ['sites'], queryFn: () => call(listSites) });
  if (sites.isPending) return <Loading what="Opening your studio" />;
  if (sites.error) return <Trouble error={sites.error} again={() => void sites.refetch()} />;
  const [first] = sites.data;
  return first ? (
    <Navigate to={`/${first.id}/projects`} replace />
  ) : (
    <Suspense fallback={<Loading what="Opening your studio" />}>
      <NameSite />
    </Suspense>
  );
}

function SiteRooms() {
  const { site = '' } = useParams();
  return (
    <SiteProvider key={site} id={site}>
      <UploadsProvider>
        <ActionsProvider>
          <Frame>
            <Suspense fallback={<Loading what="Opening the room" />}>
              <Outlet />
            </Suspense>
          </Frame>
        </ActionsProvider>
      </UploadsProvider>
    </SiteProvider>
  );
}

export function App() {
  const me = useQuery({ queryKey: ['me'], queryFn: () => call(getMe) });
  if (me.isPending) return <Loading what="Opening the studio" />;
  if (me.error) return <Trouble error={me.error} again={() => void me.refetch()} />;
  if (!me.data.account)
    return (
      <Suspense fallback={<Loading what="Opening the studio" />}>
        <Welcome demo={me.data.demo} />
      </Suspense>
    );
  return (
    <Routes>
      <Route index element={<Start />} />
      <Route path="new-site" element={<NameSite />} />
      <Route path=":site" element={<SiteRooms />}>
        <Route index element={<Navigate to="projects" replace />} />
        <Route path="gather" element={<Gather />} />
        <Route path="projects" element={<Projects />} />
        <Route path="projects/:page" element={<Compose />} />
        <Route path="projects/:page/sheet/:part" element={<ContactSheet />} />
        <Route path="share" element={<Share />} />
        <Route path=":room" element={<PlannedRoom />} />
      </Route>
      <Route path="*" element={<Navigate to="/" replace />} />
    </Routes>
  );
}
