import { type ToldFinding, usesOf } from '@wainrope/core';
import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { useMay } from '../../access/use-session.ts';
import { SeverityShape } from '../../shell/SeverityShape.tsx';
import { severityWords } from '../../shell/VerdictMark.tsx';
import { useAppSelector } from '../../store.ts';
import { type FindingGroup, groupWords, type Leg, severityOf } from './finding-groups.ts';

interface GroupItemProps {
  readonly group: FindingGroup;
  readonly hangDampers: (legs: readonly Leg[]) => void;
  /** Each finding as it is told alone. */
  readonly children: ReactNode;
}

/** Several findings that one act settles: the act, and each of them to be opened. */
export function GroupItem({ group, hangDampers, children }: GroupItemProps) {
  const severity = severityOf(group);
  const { title, why } = groupWords(group);
  return (
    <li className="stitched flex gap-3 py-2.5" data-finding-group={group.act}>
      <SeverityShape severity={severity} undecided={group.findings.every(({ undecided }) => undecided)} className="mt-0.5 shrink-0" />
      <div className="min-w-0 flex-1">
        <p className="font-semibold">
          <span className="sr-only">{severityWords[severity]}: </span>
          {title}
        </p>
        <p className="text-[15px] text-quiet">{why}</p>
        <div className="flex flex-wrap gap-2 pt-1.5 empty:hidden">
          <GroupAct group={group} hangDampers={hangDampers} />
        </div>
        <details className="pt-1">
          <summary className="min-h-8 cursor-pointer underline">Which ones</summary>
          <ul>{children}</ul>
        </details>
      </div>
    </li>
  );
}

function GroupAct({ group, hangDampers }: Omit<GroupItemProps, 'children'>) {
  const may = useMay();
  const gearIds = useGearIds(group.findings);
  const { pathname } = useLocation();
  if (group.act === 'inspect' && gearIds.length > 0 && may('inspection.full'))
    return (
      <Link className="action" to={`/inspect?${new URLSearchParams({ of: `pieces:${gearIds.join(',')}`, back: pathname })}`}>
        Inspect {gearIds.length === 1 ? 'it' : `${gearIds.length} pieces`} now
      </Link>
    );
  if (group.act === 'hang-dampers')
    return (
      <button type="button" className="action" onClick={() => hangDampers(legsOf(group.findings))}>
        Hang a damper on each
      </button>
    );
  return null;
}

const legsOf = (findings: readonly ToldFinding[]): readonly Leg[] =>
  findings.flatMap(({ fixes }) => fixes.flatMap((fix) => (fix.kind === 'add-damper' ? [fix] : [])));

/** Pieces that findings speak of, each once. */
function useGearIds(findings: readonly ToldFinding[]): readonly string[] {
  const rig = useAppSelector((state) => state.planner.rig);
  if (!rig) return [];
  const named = new Map<string, string>();
  for (const { use } of usesOf(rig)) if (use.gearId !== undefined) named.set(use.id, use.gearId);
  for (const { lineId, strand, gearId } of rig.dampers) if (gearId !== undefined) named.set(`${lineId}.${strand}`, gearId);
  return [...new Set(findings.flatMap(({ subject }) => named.get(subject.id) ?? []))];
}
