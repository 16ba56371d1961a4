import type { PieceUse } from './rig.ts';

/** A vehicle's own point for which a named person answers: no piece of the register has to stand for it. */
export const isJudgedPoint = ({ role, judged }: PieceUse): boolean => role === 'point' && judged !== undefined;
