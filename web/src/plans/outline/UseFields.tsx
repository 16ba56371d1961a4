import { DEGREE, type Edit, type GearFacts, hasAxes, keyWords, type PieceUse, pointKinds, traitsOf } from '@wainrope/core';
import { Choice } from '../../fields/Choice.tsx';
import { Check } from '../../fields/fields.tsx';
import { NumberField } from '../../fields/NumberField.tsx';
import { day } from '../../shell/days.ts';

interface UseFieldsProps {
  readonly use: PieceUse;
  readonly facts: GearFacts | undefined;
  /** Who says it, and on which day. */
  readonly said: { readonly person: string; readonly on: string };
  readonly apply: (edits: readonly Edit[], merge?: string) => void;
}

const HITCHES = ['in-line', 'basket', 'choke'] as const;

/** How a piece lies in its place, as far as it can lie in more than one way: a strap round its anchor, a shackle, a carabiner, a point. */
export function UseFields({ use, facts, said, apply }: UseFieldsProps) {
  const change = (next: PieceUse, merge?: string) => apply([{ kind: 'change-use', useId: use.id, use: next }], merge);
  const { bowAngleRad: _angle, ...withoutAngle } = use;
  const { axis: _axis, ...withoutAxis } = use;
  const enters = facts ? traitsOf(facts).enters : 'nothing';
  return (
    <>
      {use.role === 'tree-strap' && (
        <div className="col-span-2">
          <Choice
            label="Laid"
            value={use.hitch ?? 'in-line'}
            options={HITCHES}
            words={keyWords}
            onChange={(hitch) => change({ ...use, hitch })}
          />
        </div>
      )}
      {enters !== 'nothing' && enters.kind === 'shackle' && (
        <NumberField
          label="Load off its bow, as seen"
          unit="°"
          value={use.bowAngleRad === undefined ? undefined : use.bowAngleRad / DEGREE}
          empty="by its point"
          min={0}
          max={180}
          step={5}
          decimals={1}
          onChange={(degrees) => change({ ...use, bowAngleRad: degrees * DEGREE }, `bow-${use.id}`)}
          onClear={() => change(withoutAngle, `bow-${use.id}`)}
        />
      )}
      {hasAxes(facts) && (
        <Check
          label="Loaded across its gate"
          checked={use.axis === 'minor'}
          onChange={(across) => change(across ? { ...withoutAxis, axis: 'minor' } : withoutAxis)}
        />
      )}
      {use.role === 'point' && facts === undefined && <NamedPoint use={use} said={said} change={change} />}
    </>
  );
}

/** What a point is that no piece of the register stands for. */
function NamedPoint({
  use,
  said,
  change,
}: Pick<UseFieldsProps, 'use' | 'said'> & { readonly change: (next: PieceUse, merge?: string) => void }) {
  const { named, ...unnamed } = use;
  const put = (part: Partial<NonNullable<PieceUse['named']>>) =>
    change({ ...use, named: { lastResort: false, ...named, ...said, ...part } });
  return (
    <>
      <Choice
        label="What it is, as seen"
        value={named?.pointKind ?? ''}
        options={['' as const, ...pointKinds]}
        words={(kind) => (kind === '' ? 'nobody has looked' : keyWords(kind))}
        onChange={(kind) => (kind === '' ? change(unnamed) : put({ pointKind: kind }))}
      />
      <Check label="A last resort" checked={named?.lastResort === true} onChange={(lastResort) => put({ lastResort })} />
      {named && (
        <label className="col-span-2 block text-[15px]">
          Who of the owner’s side knows the risk and agreed
          <input
            value={named.agreedBy ?? ''}
            maxLength={80}
            onChange={({ target: { value } }) => {
              const { agreedBy: _before, ...rest } = named;
              change({ ...use, named: value.trim() === '' ? rest : { ...rest, agreedBy: value } }, `agreed-${use.id}`);
            }}
          />
          <span className="text-quiet">
            Said by {named.person} on {day(named.on)}
          </span>
        </label>
      )}
    </>
  );
}
