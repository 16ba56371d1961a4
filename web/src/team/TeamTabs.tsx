import type { ReactNode } from 'react';
import { useMay } from '../access/use-session.ts';
import { PageTabs } from '../shell/PageTabs.tsx';

/** The pages about the team itself. */
export function TeamTabs({ title, children }: { readonly title: string; readonly children?: ReactNode }) {
  const may = useMay();
  const tabs = [
    { to: '/people', label: 'People' },
    { to: '/settings', label: 'Settings' },
    { to: '/sheets', label: 'Inspection sheets' },
    ...(may('audit.read') ? [{ to: '/trail', label: 'What changed' }] : []),
    ...(may('bundle.read') ? [{ to: '/team-file', label: 'Export' }] : []),
  ];
  return (
    <PageTabs title={title} about="Team" tabs={tabs}>
      {children}
    </PageTabs>
  );
}
