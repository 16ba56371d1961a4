import type { GearView, LoadSummary } from '@wainrope/contract';
import { gearClasses, percent } from '@wainrope/core';
import { useTeam } from '../register/use-register.ts';
import { day } from '../shell/days.ts';
import { useFigures } from '../shell/use-figures.ts';
import { useRest } from './use-rest.ts';

interface LoadTotalsProps {
  readonly gear: Pick<GearView, 'kind' | 'attributes' | 'pullsUsedUpOn'>;
  readonly summary: LoadSummary;
}

/** What a piece has been through in all. */
export function LoadTotals({ gear, summary }: LoadTotalsProps) {
  const { figure } = useFigures();
  const { records, pulls, largestShare, usageIndex, cycles } = summary;
  const counts = gearClasses[gear.kind].carriesOn === 'pulls';
  return (
    <div className="pt-2">
      {counts && <PullsLeft gear={gear} summary={summary} />}
      {records > 0 && (
        <p>
          {pulls} {pulls === 1 ? 'pull' : 'pulls'} in {records} {records === 1 ? 'record' : 'records'}
          {largestShare !== undefined && (
            <>
              ; hardest at <strong className={largestShare > 1 ? 'text-rust' : ''}>{figure(percent(largestShare))}</strong> of its limit as
              it was then
            </>
          )}
          .
        </p>
      )}
      {cycles.length > 0 && (
        <details className="pt-1">
          <summary className="cursor-pointer underline">Cycles, and a usage index of {indexWords(usageIndex)}</summary>
          <p className="pt-1 text-[15px] text-quiet">
            Each cycle of load weighed by its size and added up. It compares pieces of one kind; it says nothing of how long one will last.
          </p>
          <table className="mt-1 text-left text-[15px]">
            <thead>
              <tr>
                <th scope="col" className="border-b-2 border-ink pr-6 font-semibold">
                  Of the breaking strength
                </th>
                <th scope="col" className="border-b-2 border-ink font-semibold">
                  Cycles
                </th>
              </tr>
            </thead>
            <tbody>
              {cycles.map(({ fromPercent, cycles: count }) => (
                <tr key={fromPercent}>
                  <td className="border-b border-rule pr-6 font-mono">
                    {fromPercent}–{fromPercent + 2} %
                  </td>
                  <td className="border-b border-rule font-mono">{count}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </details>
      )}
    </div>
  );
}

/** Two digits that tell pieces apart, whatever its size. */
export const indexWords = (index: number): string => (index === 0 ? '0' : index >= 0.001 ? index.toPrecision(2) : index.toExponential(1));

function PullsLeft({ gear, summary }: LoadTotalsProps) {
  const { policy } = useTeam();
  const { pullsUsed = 0, pullsAllowed = policy?.stretch.pullsAllowed.value } = gear.attributes as {
    readonly pullsUsed?: number;
    readonly pullsAllowed?: number;
  };
  const rest = useRest(summary.lastAt, policy?.stretch.restMin.value);
  if (pullsAllowed === undefined) return null;
  const left = Math.max(0, pullsAllowed - pullsUsed);
  return (
    <p className="flex flex-wrap items-baseline gap-x-4">
      <strong className={`font-head text-2xl ${left === 0 ? 'text-rust' : ''}`}>
        {left} {left === 1 ? 'pull' : 'pulls'} left
      </strong>
      <span className="text-quiet">
        {pullsUsed} of {pullsAllowed} used
        {gear.pullsUsedUpOn && left > 0 && `; used up by ${day(gear.pullsUsedUpOn)} at the pace of the last year`}
      </span>
      {rest !== undefined && (
        <strong role="timer" className="border-l-4 border-signal bg-amber-wash px-2 text-amber-ink">
          Let it rest: {rest} more
        </strong>
      )}
    </p>
  );
}
