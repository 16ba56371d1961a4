import { type Capability, capabilities, type PersonRole } from '@wainrope/contract';
import { Link, Outlet } from 'react-router';
import { useTeam } from '../register/use-register.ts';
import { PageHeading } from '../shell/PageHeading.tsx';
import { roleWords } from './role-words.ts';
import { useMay } from './use-session.ts';

interface AllowedProps {
  readonly to: Capability;
  /** What the pages behind it are for, as a heading says it. */
  readonly title: string;
}

const plurals = (roles: readonly PersonRole[]) => roles.map((role) => `${roleWords[role]}s`);

/** Pages with forms, for whoever may save them; anybody else is told whose they are in place of a form that would be refused. */
export function Allowed({ to, title }: AllowedProps) {
  const may = useMay();
  const { team } = useTeam();
  if (may(to)) return <Outlet />;
  if (!team) return <p className="p-6">Loading…</p>;
  return (
    <div className="mx-auto w-full max-w-[1180px] px-3 py-4 sm:px-5">
      <PageHeading title={title} className="border-b-2 border-ink pb-3 text-[28px]" />
      <p className="py-4 text-lg">
        This is for {new Intl.ListFormat('en', { type: 'conjunction' }).format(plurals(capabilities[to]))}. You are signed in as a{' '}
        {roleWords[team.actor.role]}; ask your coordinator if you need it done.
      </p>
      <Link className="action" to="/">
        Back to what is ready
      </Link>
    </div>
  );
}
