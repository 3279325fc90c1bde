import { useMutation, useQueryClient } from '@tanstack/react-query';
import {
  CalendarDays,
  Camera,
  Keyboard,
  LogOut,
  Menu as MenuIcon,
  Redo2,
  Search,
  UserRound,
  Users,
} from 'lucide-react';
import { type ReactNode, useEffect } from 'react';
import { NavLink, useLocation, useNavigate } from 'react-router';
import { type Me, signOut } from '#contract/account.ts';
import { call, Refusal } from '../api/call.ts';
import { useSite } from '../api/site-context.tsx';
import { showTheKeys, useAllActions, useFind } from './finder/actions-context.tsx';
import { Finding } from './finder/finding.tsx';
import { KiteMark } from './kite-mark.tsx';
import { Menu, MenuItem, MenuLabel, MenuRule } from './menu.tsx';
import { rooms } from './rooms.ts';
import { fetched } from './fetched.tsx';
import { Strip } from './strip.tsx';
import { problemNotice } from './notice.ts';
import './frame.css';

/** After the first screen: nobody waits for it. */
const UnreadMark = fetched(
  () => import('./unread-mark.tsx').then((module) => module.UnreadMark),
  () => null,
);

const NeededMark = fetched(
  () => import('../check/needed-mark.tsx').then((module) => module.NeededMark),
  () => null,
);

/** Signs out: what can still be saved is, and the studio starts anew, so that nothing of a maker stays in this tab. */
function useSignOut() {
  const { flush } = useSite();
  return useMutation({
    mutationFn: async () => {
      await flush();
      const left = await call(signOut);
      await import('../capture/kept-things.ts').then((kept) => kept.forgetPlaces()).catch(() => undefined);
      return left;
    },
    onSuccess: () => window.location.assign('/studio/'),
    onError: (error) =>
      problemNotice(error instanceof Refusal ? error.message : 'Signing out did not work. Try again.'),
  });
}

function Account() {
  const navigate = useNavigate();
  const me = useQueryClient().getQueryData<Me>(['me']);
  const leave = useSignOut();
  const actions = useAllActions();
  const name = me?.account?.name ?? '';
  const initials = name
    .split(/\s+/)
    .map((word) => word.charAt(0))
    .slice(0, 2)
    .join('')
    .toUpperCase();
  return (
    <Menu
      side="right"
      align="end"
      opener={
        <button
          type="button"
          className="grid size-9 place-items-center rounded-full border-[1.5px] border-string bg-dusk-2 font-head text-[13px] leading-none font-strong text-dusk-text focus-visible:shadow-(--ring-dusk)"
          aria-label={`${initials}: your account, ${name}`}
        >
          {initials}
        </button>
      }
    >
      <MenuLabel>
        <b>{name}</b>
        <small className="block text-ink-3">{me?.account?.email}</small>
      </MenuLabel>
      <MenuItem icon={UserRound} name="Your account" onSelect={() => void navigate('/account')} />
      <MenuItem icon={Users} name="Groups" onSelect={() => void navigate('/groups')} />
      <MenuItem
        icon={Keyboard}
        name="Keys"
        onSelect={() =>
          actions()
            .find(({ name: called }) => called === showTheKeys)
            ?.run()
        }
      />
      <MenuItem icon={LogOut} name="Sign out" onSelect={() => leave.mutate()} />
    </Menu>
  );
}

function Rail({ base }: { base: string }) {
  return (
    <nav
      className="relative z-5 row-[1/3] flex flex-col overflow-y-auto bg-dusk text-dusk-text [scrollbar-width:none] phone:hidden"
      aria-label="Rooms"
    >
      <svg
        className="absolute inset-0 h-full min-h-[660px] w-19"
        viewBox="0 0 76 800"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path
          d="M38 46C36 120 41 170 38 240S35 360 38 430s3 130 0 200 0 70 0 110"
          fill="none"
          stroke="var(--string)"
          strokeWidth="1.4"
        />
      </svg>
      <NavLink
        to={`${base}/projects`}
        className="relative z-1 grid h-(--strip) flex-none place-items-center"
        aria-label="Kite Wall, your projects"
        aria-current={undefined}
      >
        <KiteMark />
      </NavLink>
      <ul className="relative pt-0.5">
        {rooms.map(({ path, name, icon: Icon }) => (
          <li key={path}>
            <NavLink
              to={`${base}/${path}`}
              className="room-link group relative flex h-[clamp(62px,9.2vh,76px)] flex-col items-center gap-[5px] pt-2.5 font-text text-xs leading-4 font-firm text-dusk-text-2 no-underline hover:text-white aria-[current]:text-white"
            >
              <svg className="kite absolute top-0 left-0 h-12.5 w-19" viewBox="0 0 76 50" aria-hidden="true">
                <path d="M38 0L61 21 38 49 15 21z" fill="var(--vermilion)" />
                <path d="M38 0v49M15 21h46" stroke="#fff" strokeOpacity=".2" />
              </svg>
              <span className="icon relative grid h-7.5 w-8.5 place-items-center bg-dusk group-aria-[current]:-top-0.5 group-aria-[current]:bg-transparent">
                <Icon size={20} strokeWidth={1.75} aria-hidden="true" />
                {path === 'feedback' && <UnreadMark />}
                {path === 'check' && <NeededMark />}
              </span>
              <span className="word relative bg-dusk px-1">{name}</span>
            </NavLink>
          </li>
        ))}
      </ul>
      <div className="relative mt-auto grid min-h-14 place-items-center">
        <Account />
      </div>
    </nav>
  );
}

const bottomLook =
  'grid min-h-11 short:min-h-9 content-center justify-items-center gap-[3px] font-text text-xs leading-[14px] font-firm text-inherit no-underline focus-visible:shadow-[inset_0_0_0_2px_var(--straw)] aria-[current]:text-white';

/** On a phone: four rooms at the bottom, and the way to all of them and to what has no place in the strip. */
function BottomRooms({ base }: { base: string }) {
  const navigate = useNavigate();
  const leave = useSignOut();
  const { state, redo } = useSite();
  const find = useFind();
  const { history } = state;
  const near = rooms.filter(({ path }) => ['gather', 'projects', 'check', 'share'].includes(path));
  return (
    <nav
      className="bottom-rooms z-6 hidden grid-cols-5 bg-dusk text-dusk-text-2 phone:grid"
      aria-label="Rooms"
    >
      {near.map(({ path, name, icon: Icon }) => (
        <NavLink key={path} to={`${base}/${path}`} className={bottomLook}>
          <span className="icon relative grid h-7.5 w-8 place-items-center">
            <Icon size={20} strokeWidth={1.75} aria-hidden="true" />
            {path === 'check' && <NeededMark />}
          </span>
          <span className="short:sr-only">{name}</span>
        </NavLink>
      ))}
      <Menu
        side="top"
        opener={
          <button type="button" className={bottomLook}>
            <span className="icon grid h-7.5 w-8 place-items-center">
              <MenuIcon size={20} strokeWidth={1.75} aria-hidden="true" />
            </span>
            <span className="short:sr-only">All rooms</span>
          </button>
        }
      >
        {rooms.map(({ path, name, icon }) => (
          <MenuItem key={path} icon={icon} name={name} onSelect={() => void navigate(`${base}/${path}`)} />
        ))}
        <MenuItem icon={Search} name="Find" onSelect={find} />
        <MenuItem icon={CalendarDays} name="Plan" onSelect={() => void navigate(`${base}/plan`)} />
        <MenuItem icon={Camera} name="Capture" onSelect={() => window.location.assign('/studio/capture/')} />
        <MenuRule />
        <MenuItem
          icon={Redo2}
          name={history.redo ? `Redo: ${history.redo.label}` : 'Nothing to redo'}
          disabled={!history.redo}
          onSelect={() => void redo()}
        />
        <MenuItem icon={UserRound} name="Your account" onSelect={() => void navigate('/account')} />
        <MenuItem icon={Users} name="Groups" onSelect={() => void navigate('/groups')} />
        <MenuItem icon={LogOut} name="Sign out" onSelect={() => leave.mutate()} />
      </Menu>
    </nav>
  );
}

/** Rail, strip and room: what stands around everything in a site. */
export function Frame({ children }: { children: ReactNode }) {
  const { state } = useSite();
  const base = `/${state.site.id}`;
  const { pathname } = useLocation();
  const room = rooms.find(({ path }) => pathname.startsWith(`${base}/${path}`));
  useEffect(() => {
    document.title = `${room?.name ?? 'Studio'} · ${state.site.title} · Kite Wall`;
  }, [room, state.site.title]);
  return (
    <div className="grid [grid-template:var(--strip)_minmax(0,_1fr)_/_var(--rail)_minmax(0,_1fr)] h-[100dvh] overflow-hidden phone:[grid-template:auto_minmax(0,_1fr)_56px_/_minmax(0,_1fr)] short:phone:[grid-template:auto_minmax(0,_1fr)_40px_/_minmax(0,_1fr)]">
      <a
        className="absolute left-[-99rem] top-0 z-50 py-2.5 px-4 bg-ink text-paper focus:left-0"
        href="#room"
      >
        Skip to the room
      </a>
      <Rail base={base} />
      <Strip />
      <Finding />
      <main className="room min-h-0 min-w-0 overflow-auto relative" id="room" tabIndex={-1}>
        {children}
      </main>
      <BottomRooms base={base} />
    </div>
  );
}
