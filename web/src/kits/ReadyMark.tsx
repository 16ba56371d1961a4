import type { KitReadiness } from '@wainrope/core';
import { VerdictShape } from '../shell/VerdictMark.tsx';

/** Ready or not, by shape and word. A kit without a packing list cannot be either. */
export function ReadyMark({ readiness, asked }: { readonly readiness: KitReadiness; readonly asked: boolean }) {
  if (!asked) return <span className="text-quiet">no packing list</span>;
  return (
    <span
      className={`inline-flex items-center gap-1.5 px-2 py-0.5 font-semibold whitespace-nowrap ${readiness.ready ? 'bg-sheet text-moss' : 'bg-signal text-on-signal'}`}
    >
      <VerdictShape verdict={readiness.ready ? 'clear' : 'watch'} size={16} />
      {readiness.ready ? 'Ready' : 'Not ready'}
    </span>
  );
}
