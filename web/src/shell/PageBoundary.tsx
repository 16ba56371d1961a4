import { Component, type ReactNode } from 'react';
import { PageHeading } from './PageHeading.tsx';

interface PageBoundaryProps {
  /** Another address is another try. */
  readonly address: string;
  readonly children: ReactNode;
}

interface PageBoundaryState {
  readonly failed: Error | undefined;
  /** Where it failed. */
  readonly at: string | undefined;
}

const WHOLE: PageBoundaryState = { failed: undefined, at: undefined };

/** A page that could not be loaded or drawn says so and leaves the rest standing; what is kept on the device stays there. */
export class PageBoundary extends Component<PageBoundaryProps, PageBoundaryState> {
  override state: PageBoundaryState = WHOLE;

  static getDerivedStateFromError(failed: Error): Partial<PageBoundaryState> {
    return { failed };
  }

  static getDerivedStateFromProps({ address }: PageBoundaryProps, { failed, at }: PageBoundaryState): PageBoundaryState | null {
    if (failed && at === undefined) return { failed, at: address };
    return failed && at !== address ? WHOLE : null;
  }

  override render(): ReactNode {
    const { failed } = this.state;
    if (!failed) return this.props.children;
    return (
      <div role="alert" className="p-5">
        <PageHeading title="This page could not be shown" className="text-2xl" />
        <p className="pt-1">
          Without a signal, pages that were not opened before cannot be loaded. What you entered is kept on this device.
        </p>
        <p className="pt-1 font-mono text-[13px] text-quiet">{failed.message}</p>
        <button type="button" className="action mt-3" onClick={() => window.location.reload()}>
          Try again
        </button>
      </div>
    );
  }
}
