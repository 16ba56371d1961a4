import type { ReactNode } from 'react';
import { PageTabs } from '../../shell/PageTabs.tsx';

const tabs = [
  { to: '/log', label: 'Incidents' },
  { to: '/log/season', label: 'Season' },
];

/** What happened, and what a season came to. */
export const LogTabs = ({ title, children }: { readonly title: string; readonly children?: ReactNode }) => (
  <PageTabs title={title} about="Logbook" tabs={tabs}>
    {children}
  </PageTabs>
);
