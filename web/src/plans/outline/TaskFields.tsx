import type { Edit, Rig } from '@wainrope/core';
import { bearingDegrees, DEGREE } from '@wainrope/core';
import { Group } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';

interface TaskFieldsProps {
  readonly rig: Rig;
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

type Task = NonNullable<Rig['load']['task']>;
const TITLES: { readonly [K in Task['kind']]: string } = { drag: 'Dragging', right: 'Setting upright', deck: 'Up a deck' };

/** The figures of a load that is dragged, set upright or drawn up a deck. */
export function TaskFields({ rig, apply }: TaskFieldsProps) {
  const { task } = rig.load;
  if (!task) return null;
  const put = (next: Task, what: string) => apply([{ kind: 'change-load', load: { ...rig.load, task: next } }], `task-${what}`);
  return (
    <Group title={TITLES[task.kind]}>
      {task.kind !== 'deck' && (
        <NumberField
          label="Towards"
          unit="°"
          value={bearingDegrees(task.bearingRad)}
          min={0}
          max={360}
          step={1}
          onChange={(degrees) => put({ ...task, bearingRad: degrees * DEGREE }, 'bearing')}
        />
      )}
      {task.kind === 'drag' && <Friction task={task} put={put} />}
      {task.kind === 'right' && (
        <>
          <NumberField
            label="Lever of its weight about the edge"
            unit="m"
            value={task.leverM}
            min={0.05}
            max={10}
            step={0.05}
            onChange={(leverM) => put({ ...task, leverM }, 'lever')}
          />
          <NumberField
            label="Height of the line above the edge"
            unit="m"
            value={task.lineHeightM}
            min={0.05}
            max={10}
            step={0.05}
            onChange={(lineHeightM) => put({ ...task, lineHeightM }, 'line-height')}
          />
        </>
      )}
      {task.kind === 'deck' && (
        <NumberField
          label="Slope of the ramp"
          unit="°"
          value={task.rampRad / DEGREE}
          min={0}
          max={45}
          step={1}
          onChange={(degrees) => put({ ...task, rampRad: degrees * DEGREE }, 'ramp')}
        />
      )}
    </Group>
  );
}

function Friction({ task, put }: { readonly task: Extract<Task, { kind: 'drag' }>; readonly put: (next: Task, what: string) => void }) {
  const { friction, ...bare } = task;
  return (
    <NumberField
      label="Friction on the ground"
      unit="× weight"
      value={friction}
      empty="by the team’s settings"
      min={0.05}
      max={5}
      step={0.05}
      onChange={(value) => put({ ...task, friction: value }, 'friction')}
      onClear={() => put(bare, 'friction')}
    />
  );
}
