import { type DecimalMark, type Edit, force, type Rig, type TreeBody } from '@wainrope/core';
import { useFigures } from '../../shell/use-figures.ts';
import { StatedForce } from './StatedForce.tsx';

interface StatedFiguresProps {
  readonly rig: Rig;
  readonly today: string;
  readonly decimal: DecimalMark;
  readonly actor: string;
  readonly apply: (edits: readonly Edit[]) => void;
}

/** Figures of people in place of estimates: the pull, the winch's greatest, each tree. */
export function StatedFigures({ rig, today, decimal, actor, apply }: StatedFiguresProps) {
  const { figure } = useFigures();
  const { chosenPull, limiter } = rig;
  const trees = rig.bodies.filter((body): body is TreeBody => body.kind === 'tree');
  const shared = { decimal, actor };
  const judge = (tree: TreeBody, judged: TreeBody['judged']) => {
    const { judged: _before, ...bare } = tree;
    apply([{ kind: 'change-body', body: judged ? { ...bare, judged } : bare }]);
  };
  return (
    <fieldset>
      <legend className="font-head text-lg font-semibold">Figures a person answers for</legend>
      <StatedForce
        {...shared}
        summary="Another pull than the estimate"
        labels={['Pull needed']}
        withReason
        standing={chosenPull && `${figure(force(chosenPull.pullN))}, ${chosenPull.person}: ${chosenPull.reason}`}
        state={({ forcesN: [pullN = 0], person, reason }) => apply([{ kind: 'choose-pull', chosenPull: { pullN, person, reason } }])}
        takeBack={() => apply([{ kind: 'choose-pull', chosenPull: undefined }])}
      />
      <StatedForce
        {...shared}
        summary="A load cell or limiter holds the line pull"
        labels={['Greatest line pull']}
        withReason={false}
        standing={limiter && `${figure(force(limiter.pullN))}, stated by ${limiter.statedBy}`}
        state={({ forcesN: [pullN = 0], person }) => apply([{ kind: 'state-limiter', limiter: { pullN, statedBy: person } }])}
        takeBack={() => apply([{ kind: 'state-limiter', limiter: undefined }])}
      />
      {trees.map((tree) => (
        <StatedForce
          key={tree.id}
          {...shared}
          summary={`Somebody judged ${tree.label}`}
          labels={['Holds for work', 'Fails at']}
          withReason
          standing={
            tree.judged &&
            `${figure(force(tree.judged.workingN))} for work, fails at ${figure(force(tree.judged.failingN))}, ${tree.judged.person}: ${tree.judged.reason}`
          }
          state={({ forcesN: [workingN = 0, failingN = 0], person, reason }) =>
            judge(tree, { workingN, failingN, person, on: today, reason })
          }
          takeBack={() => judge(tree, undefined)}
        />
      ))}
    </fieldset>
  );
}
