import { type Edit, liftsOnTheSpot, type Rig } from '@wainrope/core';
import { Check } from '../../fields/fields.tsx';
import type { RegisterPiece } from '../../register/use-register.ts';

interface ToolFieldsProps {
  readonly rig: Rig;
  readonly pieces: readonly RegisterPiece[];
  readonly apply: (edits: readonly Edit[]) => void;
}

/** Tools of the register that are used on the spot beside the lines, such as a jack. */
export function ToolFields({ rig, pieces, apply }: ToolFieldsProps) {
  const used = new Set(rig.tools ?? []);
  const offered = pieces.filter(({ facts, gear }) => liftsOnTheSpot(facts) || used.has(gear.gearId));
  if (offered.length === 0) return null;
  return (
    <fieldset className="stitched pb-3">
      <legend className="font-head text-lg font-semibold">Tools used on the spot</legend>
      {offered.map(({ gear }) => (
        <Check
          key={gear.gearId}
          label={`${gear.tag} ${gear.name}`}
          checked={used.has(gear.gearId)}
          onChange={(taken) => {
            const tools = (rig.tools ?? []).filter((id) => id !== gear.gearId);
            const next = taken ? [...tools, gear.gearId] : tools;
            apply([{ kind: 'choose-tools', tools: next.length > 0 ? next : undefined }]);
          }}
        />
      ))}
    </fieldset>
  );
}
