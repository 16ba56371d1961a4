import { PageTabs } from '../shell/PageTabs.tsx';

const tabs = [
  { to: '/inspect', label: 'Bench' },
  { to: '/due', label: 'Due' },
  { to: '/defects', label: 'Defects' },
];

export const InspectTabs = ({ title }: { readonly title: string }) => <PageTabs title={title} about="Inspecting" tabs={tabs} />;
