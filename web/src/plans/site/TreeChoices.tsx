import { DEGREE, footings, type TreeBody, woods } from '@wainrope/core';
import { Choice } from '../../fields/Choice.tsx';
import { NumberField } from '../../fields/NumberField.tsx';

interface TreeChoicesProps {
  readonly tree: TreeBody;
  readonly change: (part: Partial<TreeBody>, merge?: string) => void;
}

/** What a tree is like: all that says what it holds. */
export function TreeChoices({ tree, change }: TreeChoicesProps) {
  return (
    <>
      <NumberField
        label="Trunk diameter"
        unit="m"
        value={tree.trunkDiameterM}
        min={0.05}
        max={3}
        step={0.01}
        onChange={(trunkDiameterM) => change({ trunkDiameterM }, 'trunk')}
      />
      <Choice label="Wood" value={tree.wood} options={woods} words={(wood) => wood} onChange={(wood) => change({ wood })} />
      <Choice
        label="Ground at its roots"
        value={tree.footing}
        options={footings}
        words={(footing) => (footing === 'wet' ? 'wet, or shallow roots' : footing)}
        onChange={(footing) => change({ footing })}
      />
      <Choice
        label="State"
        value={tree.state}
        options={['live', 'dead', 'rotten'] as const}
        words={(state) => state}
        onChange={(state) => change({ state })}
      />
      <NumberField
        label="Lean"
        unit="°"
        value={tree.leanRad / DEGREE}
        min={0}
        max={90}
        step={1}
        onChange={(degrees) => change({ leanRad: degrees * DEGREE }, 'lean')}
      />
    </>
  );
}
