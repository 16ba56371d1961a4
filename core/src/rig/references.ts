import type { Fault } from '../codec/codec.ts';
import type { PieceUse, Rig } from './rig.ts';

/** Every use of a piece in a rig, with its path: drives, lines, chains. */
export function usesOf(rig: Rig): readonly { readonly use: PieceUse; readonly path: string }[] {
  const inLines = rig.lines.flatMap((line, index) => [
    { use: line.drive.use, path: `lines[${index}].drive.use` },
    ...line.ropes.map((use, place) => ({ use, path: `lines[${index}].ropes[${place}]` })),
  ]);
  const inChains = rig.chains.flatMap((chain, index) =>
    chain.pieces.map((use, place) => ({ use, path: `chains[${index}].pieces[${place}]` })),
  );
  return [...inLines, ...inChains];
}

/** The ids of all pieces a rig names, dampers included. */
export function gearIdsOf(rig: Rig): readonly string[] {
  const ids = [...usesOf(rig).map(({ use }) => use.gearId), ...rig.dampers.map(({ gearId }) => gearId)];
  return [...new Set(ids.filter((entry) => entry !== undefined))];
}

/** Ids that are named but missing, or given twice; a point that does not suit its body; a chain used twice. */
export function referenceFaults(rig: Rig, gear: ReadonlySet<string>, path: string): readonly Fault[] {
  const root = path === '' ? 'rig' : `${path}.rig`;
  const faults: Fault[] = [];
  const need = (known: ReadonlySet<string>, wanted: string, at: string, what: string) => {
    if (!known.has(wanted)) faults.push({ path: `${root}.${at}`, message: `no ${what} has the id "${wanted}"` });
  };
  const bodies = unique(rig.bodies, `${root}.bodies`, faults);
  const points = unique(rig.points, `${root}.points`, faults);
  const chains = unique(rig.chains, `${root}.chains`, faults);
  unique(rig.lines, `${root}.lines`, faults);
  unique(rig.dampers, `${root}.dampers`, faults);
  unique(
    usesOf(rig).map(({ use }) => use),
    `${root}.uses`,
    faults,
  );
  need(bodies, rig.load.bodyId, 'load.bodyId', 'body');
  rig.points.forEach((point, index) => {
    need(bodies, point.bodyId, `points[${index}].bodyId`, 'body');
    const body = rig.bodies.find(({ id }) => id === point.bodyId);
    const suits = body === undefined || (point.place.kind === 'on-vehicle') === (body.kind === 'vehicle');
    if (!suits)
      faults.push({ path: `${root}.points[${index}].place`, message: `a point ${point.place.kind} cannot stand on a ${body?.kind}` });
  });
  rig.chains.forEach((chain, index) => need(points, chain.from.pointId, `chains[${index}].from.pointId`, 'point'));
  lineFaults(rig, { points, chains, need, root, faults });
  for (const { use, path: at } of usesOf(rig)) if (use.gearId !== undefined) need(gear, use.gearId, `${at}.gearId`, 'piece');
  rig.dampers.forEach((damper, index) => need(gear, damper.gearId, `dampers[${index}].gearId`, 'piece'));
  const load = rig.bodies.find(({ id }) => id === rig.load.bodyId);
  if (load && load.kind !== 'vehicle') faults.push({ path: `${root}.load.bodyId`, message: `a ${load.kind} cannot be the load` });
  return faults;
}

interface LineCheck {
  readonly points: ReadonlySet<string>;
  readonly chains: ReadonlySet<string>;
  readonly need: (known: ReadonlySet<string>, wanted: string, at: string, what: string) => void;
  readonly root: string;
  readonly faults: Fault[];
}

function lineFaults(rig: Rig, { points, chains, need, root, faults }: LineCheck): void {
  const used = new Set<string>();
  const take = (chainId: string, at: string) => {
    need(chains, chainId, at, 'chain');
    if (used.has(chainId)) faults.push({ path: `${root}.${at}`, message: `chain "${chainId}" already holds another bend or end` });
    used.add(chainId);
  };
  rig.lines.forEach((line, index) => {
    need(points, line.drive.pointId, `lines[${index}].drive.pointId`, 'point');
    line.via.forEach((bend, place) => take(bend.chainId, `lines[${index}].via[${place}].chainId`));
    take(line.to.chainId, `lines[${index}].to.chainId`);
  });
  rig.chains.forEach((chain, index) => {
    if (!used.has(chain.id)) faults.push({ path: `${root}.chains[${index}]`, message: `chain "${chain.id}" holds no line` });
  });
}

function unique(entries: readonly { readonly id: string }[], path: string, faults: Fault[]): ReadonlySet<string> {
  const seen = new Set<string>();
  entries.forEach(({ id }, index) => {
    if (seen.has(id)) faults.push({ path: `${path}[${index}].id`, message: `the id "${id}" is given twice` });
    seen.add(id);
  });
  return seen;
}
