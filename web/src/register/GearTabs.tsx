import type { ReactNode } from 'react';
import { PageTabs } from '../shell/PageTabs.tsx';

const tabs = [
  { to: '/gear', label: 'Register' },
  { to: '/kits', label: 'Kits' },
  { to: '/outings', label: 'Out and back' },
  { to: '/vehicles', label: 'Vehicles' },
];

/** Gear, its kits, where it is, and what it travels on. */
export const GearTabs = ({ title, children }: { readonly title: string; readonly children?: ReactNode }) => (
  <PageTabs title={title} about="Gear" tabs={tabs}>
    {children}
  </PageTabs>
);
