import { type Capability, capabilities, type PersonRole } from '@wainrope/contract';
import { useState } from 'react';
import { Link, Outlet } from 'react-router';
import { useTeam } from '../register/use-register.ts';
import { Loading } from '../shell/Loading.tsx';
import { PageHeading } from '../shell/PageHeading.tsx';
import { roleWords } from './role-words.ts';
import { useMay, usePerson } from './use-session.ts';

interface AllowedProps {
  readonly to: Capability;
  /** What the pages behind it are for, as a heading says it. */
  readonly title: string;
}

const plurals = (roles: readonly PersonRole[]) => roles.map((role) => `${roleWords[role]}s`);

/** Pages with forms, for whoever may save them; anybody else is told whose they are in place of a form that would be refused. */
export function Allowed({ to, title }: AllowedProps) {
  const allowed = useMay()(to);
  const person = usePerson();
  const { team } = useTeam();
  // A session that ends over a form is taken up again there; the form stays, with what was typed in it.
  const [was, setWas] = useState(allowed);
  if (allowed && !was) setWas(true);
  if (allowed || (was && !person)) return <Outlet />;
  if (!team || !person) return <Loading what="the team" className="p-6" />;
  return (
    <div className="page py-4">
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
