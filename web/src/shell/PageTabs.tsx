import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { PageHeading } from './PageHeading.tsx';

interface PageTabsProps {
  readonly title: string;
  /** What the pages side by side are about. */
  readonly about: string;
  readonly tabs: readonly { readonly to: string; readonly label: string }[];
  readonly children?: ReactNode;
}

/** A page's title with the pages beside it, and what can be done on the right. */
export function PageTabs({ title, about, tabs, children }: PageTabsProps) {
  return (
    <div className="flex flex-wrap items-end gap-x-5 gap-y-2 border-b-2 border-ink pb-2">
      <PageHeading title={title} {...(title !== about && { about: about.toLowerCase() })} />
      <nav aria-label={about} className="flex flex-wrap gap-x-4 max-[760px]:-mx-2.5 max-[760px]:gap-x-0">
        {tabs.map(({ to, label }) => (
          <NavLink
            key={to}
            to={to}
            end
            className="flex min-w-11 items-center justify-center py-1 underline-offset-4 hover:underline aria-[current=page]:font-semibold aria-[current=page]:underline"
          >
            {label}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto">{children}</div>
    </div>
  );
}
