import { type GearFacts, gearFactsCodec, read, readerOfAttributes } from '@wainrope/core';
import type { GearView } from './gear.dto.ts';

/** Core's facts of a piece: the one mapping from the register to what is judged, for web and server. */
export function gearFactsOf(gear: GearView): GearFacts {
  const { gearId, tag, name, kind, state, marks, attributes, inspection, madeOn, firstUsedOn, overloadsSinceInspection, renewedUntil } =
    gear;
  const facts = {
    id: gearId,
    tag,
    name,
    kind,
    state,
    marks: marks.map(({ asWritten, basis, source, readings, settingDecided, confirmedUnit }) => ({
      asWritten,
      basis,
      source,
      readings,
      settingDecided,
      ...(confirmedUnit && { confirmedUnit }),
    })),
    attributes,
    overloadsSinceInspection,
    ...(inspection && {
      inspection: { on: inspection.on, grade: inspection.grade, ...(inspection.nextDue && { nextDue: inspection.nextDue }) },
    }),
    ...(madeOn && { madeOn }),
    ...(firstUsedOn && { firstUsedOn }),
    ...(renewedUntil && { renewedUntil }),
  };
  const result = read(gearFactsCodec, facts);
  if (!result.ok)
    throw new Error(
      `Piece ${tag} in the register cannot be judged: ${result.faults.map(({ path, message }) => `${path}: ${message}`).join('; ')}`,
    );
  return result.value;
}

/** Faults of a class's attributes as entered. */
export function attributeFaults(kind: GearView['kind'], attributes: object) {
  const result = read(readerOfAttributes(kind), attributes, 'attributes');
  return result.ok ? [] : result.faults;
}
