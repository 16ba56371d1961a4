/** Stands where something is being fetched, and says what. What comes at once is never announced: it fades in after a moment. */
export const Loading = ({ what, className = 'py-6' }: { what: string; className?: string }) => (
  <div role="status" data-loading className={`animate-late text-quiet ${className}`}>
    <p>Loading {what}…</p>
    <div aria-hidden="true" className="mt-3 grid max-w-xl gap-2.5">
      <span className="h-3 w-4/5 bg-rule" />
      <span className="h-3 w-full bg-rule opacity-75" />
      <span className="h-3 w-2/3 bg-rule opacity-50" />
    </div>
  </div>
);
