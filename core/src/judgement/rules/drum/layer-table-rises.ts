import { drumOf } from '../../../moment/drives.ts';
import { count, force, rich } from '../../../quantity/format.ts';
import { momentRule } from '../../ask/rule.ts';
import { aboutDrive, found, winchDrives } from '../../ask/speak.ts';
import { pullFacts } from '../../ask/winch-facts.ts';

export const layerTableRises = momentRule({
  code: 'layer-table-rises',
  severity: 'fix',
  softenable: false,
  why: 'A winch pulls less on each further layer; a table that says otherwise was copied wrongly.',
  needs: pullFacts,
  subjects: winchDrives,
  about: aboutDrive,
  margin: (moment, drive) => {
    const drum = drumOf(moment, drive);
    return drum.kind !== 'no-winch' && drum.risesAt ? -1 : 1;
  },
  answer: (moment, drive) => {
    const drum = drumOf(moment, drive);
    return drum.kind === 'no-winch' || !drum.risesAt ? undefined : found({ ...drum.risesAt });
  },
  title: ({ layer }) => rich`The winch’s pull on layer ${count(layer)} is on record as more than on the layer below`,
  detail: ({ pullN, belowN }) =>
    rich`${force(pullN)} there, ${force(belowN)} on the layer below. Correct the maker’s pulls on its gear page before you trust this rig’s figures.`,
});
