import type { ReactNode } from 'react';

interface PageHeadingProps {
  /** What the page is called where browsers and histories list it. */
  readonly title: string;
  /** What kind of thing it is about, where the title alone does not say: “plan”, “kit”. */
  readonly about?: string;
  readonly className?: string;
  /** What stands on the page in place of the title. */
  readonly children?: ReactNode;
}

/** The first heading of a page, and the title of its tab. */
export function PageHeading({ title, about, className = 'text-[28px]', children }: PageHeadingProps) {
  return (
    <>
      <title>{`${title}${about ? `, ${about}` : ''} · Wainrope`}</title>
      <h1 className={className}>{children ?? title}</h1>
    </>
  );
}
