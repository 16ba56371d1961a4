import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { useMay } from '../access/use-session.ts';

/** The pages about the team itself, side by side. */
export function TeamTabs({ title, children }: { readonly title: string; readonly children?: ReactNode }) {
  const may = useMay();
  const tabs = [
    { to: '/people', label: 'People', shown: true },
    { to: '/settings', label: 'Settings', shown: true },
    { to: '/sheets', label: 'Inspection sheets', shown: true },
    { to: '/trail', label: 'What changed', shown: may('audit.read') },
  ];
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b-2 border-ink pb-2">
      <h1 className="text-[28px]">{title}</h1>
      <nav aria-label="Team" className="flex flex-wrap gap-x-4">
        {tabs
          .filter(({ shown }) => shown)
          .map(({ to, label }) => (
            <NavLink
              key={to}
              to={to}
              end
              className="py-1 underline-offset-4 hover:underline aria-[current=page]:font-semibold aria-[current=page]:underline"
            >
              {label}
            </NavLink>
          ))}
      </nav>
      <div className="ml-auto">{children}</div>
    </div>
  );
}
