import { BookOpen, CircleUser, Eye, Link2, ListChecks, Map as MapIcon, Users } from 'lucide-react';
import { type ReactNode, useEffect } from 'react';
import { Link, NavLink, Outlet, useLocation } from 'react-router';
import { useGetRemindersQuery, useGetTeamQuery } from '../api/wainrope-api.ts';
import { ThemeSwitch } from '../settings/ThemeSwitch.tsx';
import { UnitMenu } from '../settings/UnitMenu.tsx';
import { useAppSelector } from '../store.ts';
import { PageBoundary } from './PageBoundary.tsx';
import { useNarrow, usePrinting } from './use-media.ts';

/** In the order of the work. */
const PLACES = [
  { to: '/', label: 'Ready', icon: ListChecks, within: [] },
  { to: '/gear', label: 'Gear', icon: Link2, within: ['/kits', '/outings', '/vehicles'] },
  { to: '/inspect', label: 'Inspect', icon: Eye, within: ['/due', '/defects', '/inspections'] },
  { to: '/plans', label: 'Plan', icon: MapIcon, within: [] },
  { to: '/log', label: 'Log', icon: BookOpen, within: ['/series'] },
  { to: '/people', label: 'Team', icon: Users, within: ['/trail', '/account', '/settings', '/sheets', '/team-file', '/device'] },
];

function Places({ narrow }: { readonly narrow: boolean }) {
  const { pathname } = useLocation();
  const { data: reminders } = useGetRemindersQuery();
  const remind: { readonly [to: string]: readonly [count: number, words: string] | undefined } = {
    '/gear': reminders && [reminders.lateBack, 'late back'],
    '/inspect': reminders && [reminders.overdue, 'overdue'],
  };
  const here = ({ to, within }: (typeof PLACES)[number]) =>
    to === '/' ? pathname === '/' : [to, ...within].some((path) => pathname === path || pathname.startsWith(`${path}/`));
  return (
    <nav
      aria-label="Main"
      className={narrow ? 'no-print fixed inset-x-0 bottom-0 z-30 grid h-14 grid-cols-6 bg-board text-on-board' : 'flex'}
    >
      {PLACES.map((place) => (
        <Link
          key={place.to}
          to={place.to}
          aria-current={here(place) ? 'page' : undefined}
          className={`group relative flex items-center justify-center aria-[current=page]:font-semibold ${narrow ? 'flex-col text-[13px]' : 'min-w-14 px-3 text-[17px]'}`}
        >
          {narrow && <place.icon size={20} aria-hidden="true" />}
          {place.label}
          <Reminder of={remind[place.to]} narrow={narrow} />
          <span
            aria-hidden="true"
            className={`rope-bar absolute inset-x-2 hidden h-[5px] group-aria-[current=page]:block ${narrow ? 'top-0' : 'bottom-0'}`}
          />
        </Link>
      ))}
    </nav>
  );
}

interface ReminderProps {
  readonly of: readonly [count: number, words: string] | undefined;
  readonly narrow: boolean;
}

/** How many things wait there, said and shown. */
function Reminder({ of, narrow }: ReminderProps) {
  if (!of || of[0] === 0) return null;
  return (
    <span
      className={`rounded-full bg-signal px-1.5 text-[14px] leading-5 font-semibold text-on-signal ${narrow ? 'absolute top-1 left-1/2 ml-2' : 'ml-1.5'}`}
      data-reminder
    >
      {of[0]}
      <span className="sr-only"> {of[1]}</span>
    </span>
  );
}

/** The frame of every page. `note`: what is said above all of them. */
export function Shell({ note }: { readonly note: ReactNode }) {
  const { data: team } = useGetTeamQuery();
  const { theme } = useAppSelector((state) => state.settings);
  const takenAlong = useAppSelector(({ connection }) => connection.takenAlong);
  const narrow = useNarrow();
  const printing = usePrinting();
  const { pathname } = useLocation();
  useEffect(() => {
    document.documentElement.dataset.theme = printing ? 'light' : theme;
  }, [theme, printing]);
  return (
    <div className="flex min-h-full flex-col" data-shell data-taken-along={takenAlong ?? undefined}>
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-sheet focus:p-3">
        Skip to the page
      </a>
      <header data-page-head className="flex h-13 shrink-0 items-stretch gap-4 bg-board px-3 text-on-board sm:gap-8 sm:px-5">
        <NavLink to="/" className="flex items-center font-head text-[22px] font-bold tracking-[0.08em]">
          WAINROPE
        </NavLink>
        {!narrow && <Places narrow={false} />}
        <div className="ml-auto flex items-center gap-2 sm:gap-4">
          {team && <span className="hidden text-on-board-quiet lg:inline">{team.name}</span>}
          {team && (
            <NavLink
              to="/account"
              className="flex min-h-11 min-w-11 items-center justify-center gap-1.5 text-on-board"
              aria-label={`${team.actor.name}, your account`}
            >
              <CircleUser size={20} aria-hidden="true" />
              <span className="hidden md:inline">{team.actor.name}</span>
            </NavLink>
          )}
          <UnitMenu className="self-center border border-on-board-quiet [&_svg]:text-on-board" />
          <ThemeSwitch />
        </div>
      </header>
      {team?.demo && <p className="sr-only">{team.demo}</p>}
      {note}
      <main id="main" className={`flex min-h-0 flex-1 flex-col ${narrow ? 'pb-14' : ''}`}>
        <PageBoundary address={pathname}>
          <Outlet />
        </PageBoundary>
      </main>
      {narrow && <Places narrow />}
    </div>
  );
}
