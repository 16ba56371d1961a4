import type { ReactNode } from 'react';
import { NavLink } from 'react-router';

const tabs = [
  { to: '/gear', label: 'Register' },
  { to: '/kits', label: 'Kits' },
  { to: '/outings', label: 'Out and back' },
  { to: '/vehicles', label: 'Vehicles' },
];

/** Gear, its kits, and where it is. */
export function KitTabs({ title, children }: { readonly title: string; readonly children?: ReactNode }) {
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b-2 border-ink pb-2">
      <h1 className="text-[28px]">{title}</h1>
      <nav aria-label="Gear" className="flex flex-wrap gap-x-4">
        {tabs.map(({ to, label }) => (
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
