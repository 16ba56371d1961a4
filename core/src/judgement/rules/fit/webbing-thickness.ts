import { isStrap, numberAt, pinOf } from '../../../gear/traits.ts';
import { breakingRatioAt, nearRatio, utilisationAt } from '../../../moment/margins.ts';
import { rich, smallLength } from '../../../quantity/format.ts';
import { exceeds, fallsShort } from '../../../quantity/tolerance.ts';
import { interpolate } from '../../../rating/derates.ts';
import type { ChosenUse } from '../../../resolved/parts.ts';
import { ownerPiece, type Place } from '../../../resolved/place.ts';
import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutPlace, openPiece, pieceName, undecided } from '../../ask/speak.ts';

export const webbingThickness = momentRule({
  code: 'webbing-thickness',
  severity: 'caution',
  softenable: false,
  why: 'Webbing on a pin thinner than twice its own thickness loses strength as it is bent.',
  needs: ['use.piece', 'gear.thicknessM', 'gear.pinDiameterM', 'line.way', 'policy'],
  asks: 'How thick is the webbing?',
  subjects: (rig) => rig.places.flatMap((place) => thinlyPinned(rig, place)),
  about: ({ place }) => aboutPlace(place),
  margin: (moment, { place, worst }) => {
    // Where it holds with ease even at the thickest that is usual, nobody is asked.
    const planned = utilisationAt(moment, place) / worst;
    const breaking = breakingRatioAt(moment, place) * worst;
    const near = exceeds(planned, moment.rig.policy.limits.nearLimit.value) || fallsShort(breaking, nearRatio(moment.rig, place));
    return near ? undefined : 1;
  },
  answer: (_, { place, pinM }) => {
    const piece = ownerPiece(place);
    return piece && undecided({ name: pieceName(piece), pinM }, openPiece(piece, 'Enter its thickness'));
  },
  title: ({ name, pinM }) => rich`How thick is the webbing of ${name}? It lies on a pin of ${smallLength(pinM)}.`,
  detail: () => rich``,
});

interface ThinlyPinned {
  readonly place: Place;
  readonly pinM: number;
  /** What would be left of its strength at the thickest that is usual. */
  readonly worst: number;
}

/** A strap of unknown thickness on a pin that may be too thin for it. */
function thinlyPinned({ policy }: ResolvedRig, place: Place): readonly ThinlyPinned[] {
  const use = place.owner.kind === 'use' ? place.owner.use : undefined;
  const piece = use?.piece;
  if (use === undefined || !isStrap(piece) || numberAt(piece, 'thicknessM') !== undefined || place.strength.kind !== 'rated') return [];
  const pins = [use.inner, use.outer].flatMap((other) => pinOf((other as ChosenUse | undefined)?.piece) ?? []);
  if (pins.length === 0) return [];
  const pinM = Math.min(...pins);
  const ratio = pinM / policy.usual.webbingMostM.value;
  return ratio >= 2 ? [] : [{ place, pinM, worst: interpolate(policy.bends.fibre.points, ratio) }];
}
