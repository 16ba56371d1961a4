import { addLanyard, type Edit, gearIdsOf, type InTheWay, type LetGo, type Rig, type Stand } from '@wainrope/core';
import { placedEdits } from '../site/placed-edits.ts';

/** One act that makes it milder. */
export type Milder =
  | { readonly kind: 'damper'; readonly words: string; readonly legs: readonly { readonly lineId: string; readonly strand: number }[] }
  | { readonly kind: 'soft'; readonly words: string; readonly useId: string }
  | { readonly kind: 'edits'; readonly words: string; readonly edits: readonly Edit[] };

/**
 * What would make a break milder, as acts: dampers where strands whip, a lanyard on the outermost hard piece, something softer for hard
 * ones. `lanyards`: the register’s, by id; the first that lies in no place of the rig is taken.
 */
export function milderActs(rig: Rig, { undamped, leaves }: LetGo, lanyards: readonly string[]): readonly Milder[] {
  const damper: readonly Milder[] =
    undamped.length === 0
      ? []
      : [
          {
            kind: 'damper',
            words: undamped.length === 1 ? 'Hang a damper on the bare leg' : `Hang dampers on the ${undamped.length} bare legs`,
            legs: undamped,
          },
        ];
  const parts = leaves.flatMap(({ pieces, caughtBy }): readonly Milder[] => {
    const hard = pieces.filter(({ isHard }) => isHard);
    const last = hard.at(-1);
    const edits = last && caughtBy.length === 0 ? lanyardEdits(rig, last.useId, lanyards) : [];
    const lanyard: readonly Milder[] = last && edits.length > 0 ? [{ kind: 'edits', words: `Tie a lanyard to ${last.tag}`, edits }] : [];
    return [
      ...lanyard,
      ...hard.map(({ useId, tag }): Milder => ({ kind: 'soft', words: `Something softer or lighter for ${tag}`, useId })),
    ];
  });
  return [...damper, ...parts];
}

/** People on foot in the way; a cab or a shelter is told apart from them. */
export const onFootInTheWay = (inTheWay: readonly InTheWay[]): readonly InTheWay[] =>
  inTheWay.filter(({ what, sheltered }) => what === 'person' && !sheltered);

/** Those who stand in the way, each put where they would be safe; whoever has no such place gets no act. */
export const standActs = (rig: Rig, inTheWay: readonly InTheWay[], stands: readonly Stand[]): readonly Milder[] =>
  onFootInTheWay(inTheWay).flatMap(({ bodyId, label }): readonly Milder[] => {
    const edits = placedEdits(
      rig,
      stands.filter(({ id }) => id === bodyId),
    );
    return edits.length === 0 ? [] : [{ kind: 'edits', words: `Move ${label} to a safe place`, edits }];
  });

/** A lanyard from a piece to what its chain hangs on where that stands still, else by a grip to a strand that goes along. */
function lanyardEdits(rig: Rig, useId: string, lanyards: readonly string[]): readonly Edit[] {
  const chain = rig.chains.find(({ pieces }) => pieces.some(({ id }) => id === useId));
  if (!chain) return [];
  const pointId = chain.from.kind === 'point' ? chain.from.pointId : undefined;
  const bodyId = rig.points.find(({ id }) => id === pointId)?.bodyId;
  const body = rig.bodies.find(({ id }) => id === bodyId && id !== rig.load.bodyId);
  const fixed = body ? addLanyard(rig, useId, body) : [];
  const edits = fixed.length > 0 ? fixed : byAGrip(rig, useId, chain.id);
  const used = gearIdsOf(rig);
  const gearId = lanyards.find((id) => !used.includes(id));
  return edits.map((edit) =>
    gearId !== undefined && edit.kind === 'put' && edit.list === 'lanyards' ? { ...edit, entry: { ...edit.entry, gearId } } : edit,
  );
}

function byAGrip(rig: Rig, useId: string, chainId: string): readonly Edit[] {
  const line = rig.lines.find(
    ({ via, to }) =>
      (to.kind === 'chain' && to.chainId === chainId) || via.some((bend) => bend.kind === 'pulley' && bend.chainId === chainId),
  );
  if (!line) return [];
  const bend = line.via.findIndex((entry) => entry.kind === 'pulley' && entry.chainId === chainId);
  // The strand before it, which goes along with it.
  const strand = bend < 0 ? line.via.length : bend;
  const id = `lanyard-${useId}`;
  return [{ kind: 'put', list: 'lanyards', entry: { id, useId, to: { kind: 'strand', lineId: line.id, strand } } }];
}
