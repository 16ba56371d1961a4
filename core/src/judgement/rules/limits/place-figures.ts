import { breakingRatioAt, nearRatio, stopRatio, utilisationAt } from '../../../moment/margins.ts';
import type { Moment } from '../../../moment/moment.ts';
import type { Place } from '../../../resolved/place.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { ownerName } from '../../ask/speak.ts';

/** Places that have a working limit to keep to; a drum's own rules speak of its pull. */
export const loadedPlaces = ({ places }: ResolvedRig): readonly Place[] => places.filter(({ kind }) => kind !== 'drum');

/** What a place carries as planned against its limit, for a finding. */
export function plannedFigures(moment: Moment, place: Place) {
  const { plannedN, wllN } = moment.places;
  return {
    name: ownerName(place),
    where: place.where,
    plannedN: plannedN[place.index] ?? 0,
    wllN: wllN[place.index] ?? 0,
    share: utilisationAt(moment, place),
  };
}

/** What a place carries at the greatest pull against its breaking strength, for a finding. */
export function greatestFigures(moment: Moment, place: Place) {
  const { greatestN, mbsN } = moment.places;
  return {
    name: ownerName(place),
    where: place.where,
    greatestN: greatestN[place.index] ?? 0,
    mbsN: mbsN[place.index] ?? 0,
    ratio: breakingRatioAt(moment, place),
    stopRatio: stopRatio(moment.rig, place),
    nearRatio: nearRatio(moment.rig, place),
  };
}
