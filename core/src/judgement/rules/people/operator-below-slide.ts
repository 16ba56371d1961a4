import { rich } from '../../../quantity/format.ts';
import { slidesOver } from '../../../release/slides-over.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutBody, found } from '../../ask/speak.ts';
import { operators } from './operators.ts';

export const operatorBelowSlide = momentRule({
  code: 'operator-below-slide',
  severity: 'stop',
  softenable: false,
  why: 'A vehicle that slides takes the path of the line and of the slope.',
  needs: ['person.duty', 'person.shelter', 'body.stands', 'vehicle.stance', 'ground.slope', 'policy'],
  subjects: (rig) => operators(rig).filter(({ inVehicleId }) => inVehicleId === undefined),
  about: aboutBody,
  margin: ({ holds, rig }, operator) => (holds.some((hold) => slidesOver(hold, operator, rig.policy)) ? -1 : 1),
  answer: ({ holds, rig }, operator) => {
    const hit = holds.find((hold) => slidesOver(hold, operator, rig.policy));
    return hit && found({ operator: operator.label, vehicle: hit.vehicle.body.label });
  },
  title: ({ operator }) => rich`${operator} stands in the way of a slide`,
  detail: ({ vehicle }) => rich`${vehicle} slides that way before the winch stalls. Stand uphill and to one side.`,
});
