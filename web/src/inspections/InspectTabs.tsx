import { NavLink } from 'react-router';

const tabs = [
  { to: '/inspect', label: 'Bench' },
  { to: '/due', label: 'Due' },
  { to: '/defects', label: 'Defects' },
];

/** The pages about inspecting, side by side. */
export function InspectTabs({ title }: { readonly title: string }) {
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b-2 border-ink pb-2">
      <h1 className="text-[28px]">{title}</h1>
      <nav aria-label="Inspecting" className="flex flex-wrap gap-x-4">
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
    </div>
  );
}
