import type { ResolvedRig } from '../../../resolved/resolved-rig.ts';
import type { PersonBody } from '../../../rig/bodies.ts';

export const operators = ({ people }: ResolvedRig): readonly PersonBody[] => people.filter(({ duty }) => duty === 'operator');
