import { legsRule } from './trees.ts';

export const strapLegsWide = legsRule({ code: 'strap-legs-wide', severity: 'fix', fromDeg: 90, toDeg: 120 });
