interface FurtherBackProps {
  /** Whether there is more than is listed. */
  readonly hasMore: boolean;
  readonly limit: number;
  /** The most that is given at once. */
  readonly most: number;
  readonly read: (limit: number) => void;
}

/** The way to what is older than what is listed; where no more is given, that is said. */
export function FurtherBack({ hasMore, limit, most, read }: FurtherBackProps) {
  if (!hasMore) return null;
  if (limit >= most) return <p className="pt-2 text-quiet">The newest {most} are listed.</p>;
  return (
    <button type="button" className="action no-print mt-2" onClick={() => read(most)}>
      Show older ones
    </button>
  );
}
