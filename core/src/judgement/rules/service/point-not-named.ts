import { rich } from '../../../quantity/format.ts';
import type { ResolvedChain, ResolvedTie, ResolvedUse } from '../../../resolved/parts.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import type { Edit } from '../../../rig/edits.ts';
import { rigRule } from '../../ask/rule.ts';
import { undecided } from '../../ask/speak.ts';

/** A place on a vehicle where something is hooked up and nobody says at what. */
interface Unnamed {
  readonly pointId: string;
  readonly label: string;
  readonly vehicle: string;
  readonly names: Edit;
}

export const pointNotNamed = rigRule({
  code: 'point-not-named',
  severity: 'fix',
  softenable: false,
  why: 'A vehicle is only as well held as the point that it is held by, and a bracket under it may be a tie-down.',
  needs: ['line.way', 'tie.back', 'use.role', 'point.mount'],
  asks: 'What is it hooked to?',
  subjects: (rig) => [...rig.chains.flatMap(atChain), ...rig.ties.flatMap((tie) => atTie(rig, tie))],
  about: ({ pointId }) => ({ subject: { kind: 'point', id: pointId } }),
  answer: (_, { label, vehicle, names }) => undecided({ label, vehicle }, [{ kind: 'edits', label: 'Name the point', edits: [names] }]),
  title: ({ label, vehicle }) => rich`What is the line hooked to on ${vehicle}, at “${label}”? Name the point itself.`,
  detail: () => rich``,
});

const isPoint = (use: ResolvedUse | undefined): boolean => use?.use.role === 'point';

function atChain({ chain, point, first }: ResolvedChain): readonly Unnamed[] {
  if (point?.on.body.kind !== 'vehicle' || isPoint(first)) return [];
  const own = { id: `${chain.id}.point`, role: 'point' as const };
  const names: Edit = { kind: 'put', list: 'chains', entry: { ...chain, pieces: [own, ...chain.pieces] } };
  return [{ pointId: point.point.id, label: point.point.label, vehicle: point.on.body.label, names }];
}

function atTie({ rig }: ResolvedRig, { id, vehicle, anchor, uses }: ResolvedTie): readonly Unnamed[] {
  const entry = rig.backAnchors?.find((other) => other.id === id);
  if (entry === undefined) return [];
  const at = (end: ResolvedTie['vehicle'], pieces: typeof entry.pieces): Unnamed => ({
    pointId: end.point.id,
    label: end.point.label,
    vehicle: end.on.body.label,
    names: { kind: 'put', list: 'backAnchors', entry: { ...entry, pieces } },
  });
  const own = (which: string) => ({ id: `${id}.${which}`, role: 'point' as const });
  return [
    ...(isPoint(uses.at(-1)) ? [] : [at(vehicle, [...entry.pieces, own('point')])]),
    ...(anchor.on.body.kind === 'vehicle' && !isPoint(uses[0]) ? [at(anchor, [own('holding-point'), ...entry.pieces])] : []),
  ];
}
