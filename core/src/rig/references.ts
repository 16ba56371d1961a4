import type { Fault } from '../codec/codec.ts';
import type { Body, PieceUse, Rig, RigPoint } from './rig.ts';

/** Every use of a piece in a rig, with its path: drives, lines, chains, back-anchors. */
export function usesOf(rig: Rig): readonly { readonly use: PieceUse; readonly path: string }[] {
  const inLines = rig.lines.flatMap((line, index) => [
    ...(line.drive.kind === 'winch' ? [{ use: line.drive.use, path: `lines[${index}].drive.use` }] : []),
    ...line.ropes.map((use, place) => ({ use, path: `lines[${index}].ropes[${place}]` })),
  ]);
  const inChains = rig.chains.flatMap((chain, index) =>
    chain.pieces.map((use, place) => ({ use, path: `chains[${index}].pieces[${place}]` })),
  );
  const behind = (rig.backAnchors ?? []).flatMap((anchor, index) =>
    anchor.pieces.map((use, place) => ({ use, path: `backAnchors[${index}].pieces[${place}]` })),
  );
  return [...inLines, ...inChains, ...behind];
}

/** The ids of all pieces a rig names: uses, dampers, lanyards and tools. */
export function gearIdsOf(rig: Rig): readonly string[] {
  const ids = [
    ...usesOf(rig).map(({ use }) => use.gearId),
    ...rig.dampers.map(({ gearId }) => gearId),
    ...(rig.lanyards ?? []).map(({ gearId }) => gearId),
    ...(rig.tools ?? []),
  ];
  return [...new Set(ids.filter((entry) => entry !== undefined))];
}

/** The known ids of a rig by kind, and the faults found so far. */
interface Check {
  readonly rig: Rig;
  readonly known: { readonly [K in 'body' | 'point' | 'joint' | 'chain' | 'grip' | 'line' | 'use' | 'piece']: ReadonlySet<string> };
  readonly root: string;
  readonly faults: Fault[];
}

/** Ids that are named but missing, or given twice; a point that does not suit its body; a chain used twice or for nothing. */
export function referenceFaults(rig: Rig, gear: ReadonlySet<string>, path: string): readonly Fault[] {
  const root = path === '' ? 'rig' : `${path}.rig`;
  const faults: Fault[] = [];
  const ids = (entries: readonly { readonly id: string }[], list: string) => unique(entries, `${root}.${list}`, faults);
  const known: Check['known'] = {
    body: ids(rig.bodies, 'bodies'),
    point: ids(rig.points, 'points'),
    joint: ids(rig.joints ?? [], 'joints'),
    chain: ids(rig.chains, 'chains'),
    grip: ids(rig.grips ?? [], 'grips'),
    line: ids(rig.lines, 'lines'),
    use: ids(
      usesOf(rig).map(({ use }) => use),
      'uses',
    ),
    piece: gear,
  };
  ids(rig.dampers, 'dampers');
  ids(rig.lanyards ?? [], 'lanyards');
  ids(rig.backAnchors ?? [], 'backAnchors');
  ids(rig.features ?? [], 'features');
  const check: Check = { rig, known, root, faults };
  loadFaults(check);
  pointFaults(check);
  chainFaults(check);
  lineFaults(check);
  for (const { use, path: at } of usesOf(rig)) if (use.gearId !== undefined) need(check, 'piece', use.gearId, `${at}.gearId`);
  besideFaults(check);
  return faults;
}

function need({ known, root, faults }: Check, kind: keyof Check['known'], wanted: string, at: string): void {
  if (!known[kind].has(wanted)) faults.push({ path: `${root}.${at}`, message: `no ${kind} has the id "${wanted}"` });
}

function refuse({ root, faults }: Check, at: string, message: string): void {
  faults.push({ path: `${root}.${at}`, message });
}

function loadFaults(check: Check): void {
  const { rig } = check;
  need(check, 'body', rig.load.bodyId, 'load.bodyId');
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  if (load && load.kind !== 'vehicle' && load.kind !== 'load') refuse(check, 'load.bodyId', `a ${load.kind} cannot be the load`);
}

const PLACES: { readonly [K in Body['kind']]: RigPoint['place']['kind'] } = {
  vehicle: 'on-vehicle',
  load: 'on-vehicle',
  tree: 'on-trunk',
  rock: 'at-height',
  structure: 'at-height',
  'ground-anchor': 'at-height',
  pickets: 'at-height',
  deadman: 'at-height',
  crew: 'at-height',
  person: 'at-height',
  animal: 'at-height',
};

function pointFaults(check: Check): void {
  check.rig.points.forEach((point, index) => {
    need(check, 'body', point.bodyId, `points[${index}].bodyId`);
    const body = check.rig.bodies.find(({ id }) => id === point.bodyId);
    if (body && PLACES[body.kind] !== point.place.kind)
      refuse(check, `points[${index}].place`, `a point ${point.place.kind} cannot stand on a ${body.kind}`);
    if (body?.kind === 'person' || body?.kind === 'animal')
      refuse(check, `points[${index}].bodyId`, `nothing may be tied to a ${body.kind}`);
  });
}

function chainFaults(check: Check): void {
  check.rig.chains.forEach(({ from, to }, index) => {
    if (from.kind === 'point') need(check, 'point', from.pointId, `chains[${index}].from.pointId`);
    else need(check, 'joint', from.jointId, `chains[${index}].from.jointId`);
    if (to?.kind === 'joint') need(check, 'joint', to.jointId, `chains[${index}].to.jointId`);
    if (to?.kind === 'grip') need(check, 'grip', to.gripId, `chains[${index}].to.gripId`);
    if (from.kind === 'joint' && to?.kind === 'joint' && from.jointId === to.jointId)
      refuse(check, `chains[${index}].to.jointId`, 'a chain cannot end at the joint it starts from');
  });
}

function lineFaults(check: Check): void {
  const { rig } = check;
  const used = new Set(rig.chains.filter(({ to }) => to !== undefined).map(({ id }) => id));
  const take = (chainId: string, at: string) => {
    need(check, 'chain', chainId, at);
    if (used.has(chainId)) refuse(check, at, `chain "${chainId}" already holds another bend or end`);
    used.add(chainId);
  };
  rig.lines.forEach((line, index) => {
    const { drive, to } = line;
    if (drive.kind === 'winch' || drive.kind === 'hand') need(check, 'point', drive.pointId, `lines[${index}].drive.pointId`);
    if (drive.kind === 'tow') take(drive.chainId, `lines[${index}].drive.chainId`);
    const ends = [
      ...(drive.kind === 'held' ? [{ end: drive.end, at: `lines[${index}].drive.end` }] : []),
      { end: to, at: `lines[${index}].to` },
    ];
    line.via.forEach((bend, place) => {
      if (bend.kind === 'pulley') take(bend.chainId, `lines[${index}].via[${place}].chainId`);
      else need(check, 'point', bend.pointId, `lines[${index}].via[${place}].pointId`);
    });
    for (const { end, at } of ends) {
      if (end.kind === 'chain') take(end.chainId, `${at}.chainId`);
      else need(check, 'joint', end.jointId, `${at}.jointId`);
    }
  });
  rig.chains.forEach((chain, index) => {
    if (!used.has(chain.id)) refuse(check, `chains[${index}]`, `chain "${chain.id}" holds no line`);
  });
  if (rig.lines.length > 0 && !rig.lines.some(({ drive }) => drive.kind !== 'held')) refuse(check, 'lines', 'no line has a drive');
  if (rig.lines.some(({ drive }) => drive.kind === 'hand' && bodyKind(rig, drive.pointId) !== 'crew'))
    refuse(check, 'lines', 'a line hauled by hand starts at a crew');
}

function bodyKind(rig: Rig, pointId: string): Body['kind'] | undefined {
  const bodyId = rig.points.find(({ id }) => id === pointId)?.bodyId;
  return rig.bodies.find(({ id }) => id === bodyId)?.kind;
}

/** What stands beside the lines: dampers, lanyards, grips, back-anchors, tools, shares. */
function besideFaults(check: Check): void {
  const { rig } = check;
  rig.dampers.forEach((damper, index) => need(check, 'piece', damper.gearId, `dampers[${index}].gearId`));
  (rig.tools ?? []).forEach((tool, index) => need(check, 'piece', tool, `tools[${index}]`));
  (rig.grips ?? []).forEach((grip, index) => {
    need(check, 'line', grip.lineId, `grips[${index}].lineId`);
    const line = rig.lines.find(({ id }) => id === grip.lineId);
    if (line && grip.strand > line.via.length)
      refuse(check, `grips[${index}].strand`, `${grip.strand} stands here; line "${line.id}" has the strands 0 to ${line.via.length}`);
  });
  (rig.lanyards ?? []).forEach((lanyard, index) => {
    need(check, 'use', lanyard.useId, `lanyards[${index}].useId`);
    if (lanyard.gearId !== undefined) need(check, 'piece', lanyard.gearId, `lanyards[${index}].gearId`);
    if (lanyard.to.kind === 'point') need(check, 'point', lanyard.to.pointId, `lanyards[${index}].to.pointId`);
    else need(check, 'line', lanyard.to.lineId, `lanyards[${index}].to.lineId`);
  });
  (rig.backAnchors ?? []).forEach((anchor, index) => {
    need(check, 'point', anchor.vehiclePointId, `backAnchors[${index}].vehiclePointId`);
    need(check, 'point', anchor.anchorPointId, `backAnchors[${index}].anchorPointId`);
    if (check.known.point.has(anchor.vehiclePointId) && bodyKind(rig, anchor.vehiclePointId) !== 'vehicle')
      refuse(check, `backAnchors[${index}].vehiclePointId`, 'a back-anchor holds a vehicle');
  });
  (rig.sharing?.shares ?? []).forEach(({ lineId }, index) => {
    need(check, 'line', lineId, `sharing.shares[${index}].lineId`);
  });
  for (const { id, drive } of rig.sharing ? rig.lines : [])
    if (drive.kind !== 'held' && !rig.sharing?.shares.some(({ lineId }) => lineId === id))
      refuse(check, 'sharing.shares', `line "${id}" has a drive and no share`);
}

function unique(entries: readonly { readonly id: string }[], path: string, faults: Fault[]): ReadonlySet<string> {
  const seen = new Set<string>();
  entries.forEach(({ id }, index) => {
    if (seen.has(id)) faults.push({ path: `${path}[${index}].id`, message: `the id "${id}" is given twice` });
    seen.add(id);
  });
  return seen;
}
