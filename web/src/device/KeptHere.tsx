import { useEffect, useState } from 'react';
import { deviceKeeps } from '../kept/keep-reads.ts';
import { MOST_PLANS } from '../offline/take-along.ts';
import { moment } from '../shell/days.ts';
import { useAppSelector } from '../store.ts';
import { megabytes, storageWords, useStorage } from './storage.ts';

interface Kept {
  readonly what: string;
  readonly at: string | undefined;
  readonly count?: number;
}

const PLAN = /^\/api\/v1\/plans\/[0-9a-f-]{36}$/;
const KINDS = [
  { what: 'The register', key: 'wholeRegister' },
  { what: 'Kits', key: '/api/v1/kits' },
  { what: 'Outings', key: '/api/v1/outings' },
  { what: 'The list of plans', key: 'allPlans' },
  { what: 'Inspection sheets', key: '/api/v1/inspection-sheets' },
  { what: 'The team’s settings', key: '/api/v1/policy' },
];

async function whatIsKept(): Promise<readonly Kept[]> {
  const times = (await (await deviceKeeps())?.keptTimes()) ?? [];
  const at = new Map(times.map((row) => [row.key, row.at]));
  const plans = times.filter(({ key }) => PLAN.test(key)).map((row) => row.at);
  return [
    ...KINDS.map(({ what, key }) => ({ what, at: at.get(key) })),
    { what: plans.length === 1 ? 'plan' : 'plans', at: plans.sort()[0], count: plans.length },
  ];
}

/** What opens without a signal and how old it is, and how full the device is. */
export function KeptHere() {
  const { takenAlong, hasPdfMaker } = useAppSelector(({ connection }) => connection);
  const [kept, setKept] = useState<readonly Kept[]>();
  const storage = useStorage();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what was read anew is told anew
  useEffect(() => {
    whatIsKept().then(setKept, () => setKept([]));
  }, [takenAlong]);
  return (
    <>
      <h2 className="stitched mt-6 pb-1.5 text-xl">Opens without a signal</h2>
      {!window.isSecureContext && (
        <p className="pt-3 text-rust">Nothing opens here without a signal: the address is not https, so this browser keeps no pages.</p>
      )}
      <table className="mt-2 w-full border-collapse text-left">
        <thead>
          <tr className="border-b-2 border-ink">
            <th className="py-1 pr-3">What</th>
            <th>Read</th>
          </tr>
        </thead>
        <tbody>
          {kept?.map(({ what, at, count }) => (
            <tr key={what} className="border-b border-rule">
              <td className="py-1.5 pr-3">
                {count !== undefined && `${count} `}
                {what}
              </td>
              <td>{at ? moment(at) : 'not yet'}</td>
            </tr>
          ))}
          <tr className="border-b border-rule">
            <td className="py-1.5 pr-3">The PDF maker</td>
            <td>{hasPdfMaker ? 'here' : 'not yet'}</td>
          </tr>
        </tbody>
      </table>
      <p className="pt-2 text-[15px] text-quiet">
        Refreshed by itself while there is a signal; of the plans, at most the {MOST_PLANS} saved last. Photos and the trail need a signal.
        Signing out removes all of it.
      </p>
      <h2 className="stitched mt-6 pb-1.5 text-xl">Room</h2>
      <p className="pt-3">
        {storage
          ? `${megabytes(storage.usedBytes)} of ${megabytes(storage.mayBytes)} used.`
          : 'This browser does not say how much room there is.'}{' '}
        {storageWords(storage)}
      </p>
    </>
  );
}
